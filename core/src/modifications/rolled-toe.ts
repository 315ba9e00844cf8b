import { bentAhead, breakoverField, dressedToe, lineHandle, mostAhead } from './bend-line'
import { roundBar } from './kit'
import { fieldsOf, modificationOf } from './modification'

const fields = fieldsOf([breakoverField])

/** How steeply a rolled toe rises from its breakover: height for a millimetre forward (common practice, no source). */
const ROLL = 0.45

/** It takes no more than this share of the height. */
const MOST_UP = 0.8

/** The ground edge of the toe rounded off from the breakover forward. */
export const rolledToe = modificationOf({
  kind: 'rolled-toe',
  group: 'toe',
  label: 'Rolled toe',
  purpose: 'Breakover set back by rounding the ground edge; the foot surface stays flat.',
  fields,
  excludes: { 'rocker-toe': 'A toe is either rolled on its ground edge or bent up; choose one' },
  refuse: roundBar,
  rasp: (form, place, context, values) => {
    const line = context.foot.widestFromToe - values.behindToe
    // The further back it begins the flatter it is, so that steel is left at the toe.
    const slope = Math.min(ROLL, (form.thickness * MOST_UP) / mostAhead(context, line))
    const bend = bentAhead(place, line, slope, 'ground')
    return bend ? { ...form, bend } : form
  },
  parts: (context, values) => [dressedToe(context, 'Rolled toe', values.behindToe)],
  handles: lineHandle,
  forging: () => [
    {
      stage: 'edges',
      text: 'Grind or hammer the ground edge of the toe round, from the breakover line forward.',
    },
  ],
  tell: () => ['Dress the ground edge of the toe only; the foot surface stays flat.'],
})
