import { placeAt, trackLength } from '../../geometry/track'
import type { Modification, ShoeContext } from './modification'
import { withThickness } from './reshape'

/** Foremost and hindmost bearing of the shoe, y. */
function bearing({ rims }: ShoeContext): { toeY: number; heelY: number } {
  const end = (station: number) => placeAt(rims.outer, station).point[1]
  return { toeY: end(rims.toe), heelY: Math.min(end(0), end(trackLength(rims.outer))) }
}

/** Degrees a wedge steepens the hoof: atan(rise / bearing length). */
export function wedgeAngle(context: ShoeContext, rise: number): number {
  const { toeY, heelY } = bearing(context)
  return (Math.atan(rise / (toeY - heelY)) * 180) / Math.PI
}

/** Branches that grow thicker to the heel. */
export const wedge: Modification = {
  kind: 'wedge',
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
  reshape: (profile, context, values) => {
    const { toeY, heelY } = bearing(context)
    return withThickness(
      profile,
      context.rims,
      (y) => Math.max(0, Math.min(1, (toeY - y) / (toeY - heelY))) * values['rise']!,
    )
  },
  tell: (context, values) => [`Steepens the hoof by ${wedgeAngle(context, values['rise']!).toFixed(1)}°.`],
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
