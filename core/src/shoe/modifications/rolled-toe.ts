import { breakoverField, dressedToe, lineHandle } from './bend-line'
import { bevelled, roundBar } from './kit'
import type { Modification } from './modification'

/** How steeply a rolled toe rises from its breakover: height for a millimetre forward (common practice, no source). */
const ROLL = 0.45

/** The ground edge of the toe rounded off from the breakover forward. */
export const rolledToe: Modification = {
  kind: 'rolled-toe',
  group: 'toe',
  label: 'Rolled toe',
  purpose: 'Breakover set back by rounding the ground edge; the foot surface stays flat.',
  fields: [breakoverField],
  excludes: { 'rocker-toe': 'A toe is either rolled on its ground edge or bent up; choose one' },
  refuse: roundBar,
  breakover: ({ foot }, values) => foot.widestFromToe - values['behindToe']!,
  rasp: (form, { point }, { foot }, values) => {
    const ahead = point[1] - (foot.widestFromToe - values['behindToe']!)
    return ahead > 0 ? bevelled(form, 'outerGround', ahead, ahead * ROLL) : form
  },
  parts: (context, values) => [dressedToe(context, 'Rolled toe', values['behindToe']!)],
  handles: lineHandle,
  forging: () => [
    {
      stage: 'edges',
      text: 'Grind or hammer the ground edge of the toe round, from the breakover line forward.',
    },
  ],
  tell: () => ['Dress the ground edge of the toe only; the foot surface stays flat.'],
}
