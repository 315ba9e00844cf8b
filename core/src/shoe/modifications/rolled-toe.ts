import { breakoverField, dressedToe } from './bend-line'
import type { Modification } from './modification'

/** The ground edge of the toe rounded off from the breakover forward. */
export const rolledToe: Modification = {
  kind: 'rolled-toe',
  label: 'Rolled toe',
  purpose: 'Breakover set back by rounding the ground edge; the foot surface stays flat.',
  fields: [breakoverField],
  excludes: { 'rocker-toe': 'A toe is either rolled on its ground edge or bent up; choose one' },
  breakover: ({ foot }, values) => foot.widestFromToe - values['behindToe']!,
  parts: (context, values) => [dressedToe(context, 'Rolled toe', values['behindToe']!)],
  tell: () => ['Dress the ground edge; the metal is moved, not taken away.'],
}
