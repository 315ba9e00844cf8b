import { bearing } from './kit'
import type { Modification, ShoeContext } from './modification'

/** Degrees a wedge steepens the hoof: atan(rise / bearing length). */
export function wedgeAngle(context: ShoeContext, rise: number): number {
  const { toeY, heelY } = bearing(context)
  return (Math.atan(rise / (toeY - heelY)) * 180) / Math.PI
}

/** Branches that grow thicker to the heel. */
export const wedge: Modification = {
  kind: 'wedge',
  group: 'heels',
  label: 'Wedge',
  purpose: 'Raises the heels: thickness grows evenly from toe to heel.',
  fields: [
    {
      key: 'rise',
      label: 'Rise at the heels',
      kind: 'length',
      where: 'How much thicker the branches are at the heels than at the toe.',
      range: () => [1, 25],
      fallback: ({ foot }) => foot.length * 0.045,
    },
  ],
  rise: ({ middle }, context, values) => {
    const { toeY, heelY } = bearing(context)
    return Math.max(0, Math.min(1, (toeY - middle[1]) / (toeY - heelY))) * values['rise']!
  },
  handles: (context, values) => [
    {
      field: 'rise',
      point: [bearing(context).heelY, context.section.thickness + values['rise']!],
      along: [0, 1],
      view: 'side',
    },
  ],
  forging: () => [
    { stage: 'upset', text: 'Draw the toe or upset the heels of the straight bar to the wedge first.' },
  ],
  tell: (context, values) => [
    `Steepens the hoof by ${wedgeAngle(context, values['rise']!).toFixed(1)}°.`,
    ...(values['rise']! > context.section.thickness * 0.4
      ? ['Thick for this bar: begin with thicker stock and draw the toe, or the cut grows long.']
      : []),
  ],
  cautions: (context, values) => {
    const angle = wedgeAngle(context, values['rise']!)
    return [
      {
        code: 'wedge',
        severity: angle > 4 ? 'caution' : 'note',
        title: `Heels raised by ${angle.toFixed(1)}°`,
        text: 'Raised heels crush in time. In a suspensory strain a steeper hoof may let the fetlock sink further: schools differ.',
        action: 'Agree it with the vet; look at the heels at each visit and lower it as soon as it may be.',
      },
    ]
  },
}
