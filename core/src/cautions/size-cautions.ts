import type { Caution } from '../notices/caution'
import { length, told } from '../notices/told'
import { bends } from '../terms/size-kinds'
import type { CautionContext, CautionRule } from './context'
import { namedNails } from '../nails/named-nails'

/** Opened or closed by more than this a shoe loses its shape at the toe, mm (common practice, no source). */
const FAR_OFF = 12

/** A heel that falls short of where it should end by more than this leaves the foot without support, mm. */
const SHORT = 3

/** Cautions of a factory shoe: how far it is from the foot it is laid on. */
export const sizeCautions: CautionRule = (context) => {
  const { iron, stock, foot } = context
  if (!stock || iron.openBy === undefined || !iron.heelLeft) return []
  const { facts } = stock
  const found: Caution[] = []
  const fore = foot.side.endsWith('F')
  if (facts.feet !== 'either' && (facts.feet === 'front') !== fore)
    found.push({
      code: 'size-of-other-feet',
      severity: 'caution',
      title: told`A ${facts.feet} shoe on a ${fore ? 'front' : 'hind'} foot`,
      text: 'Its toe is shaped for the other pair: it will not meet the wall without being reshaped.',
      action: 'Take a size made for these feet, or reshape the toe first.',
    })
  const off = Math.abs(iron.openBy)
  if (bends(facts.kind) && off > FAR_OFF)
    found.push({
      code: 'size-far-off',
      severity: 'caution',
      title: told`${iron.openBy > 0 ? 'Opened' : 'Closed'} by ${length(off)}`,
      text: 'So far from its own shape the toe flattens or points, and holes wander off the white line.',
      action: 'Try the neighbouring size, or make the shoe.',
    })
  const short = Math.min(iron.heelLeft.lateral, iron.heelLeft.medial)
  if (short < -SHORT)
    found.push({
      code: 'size-too-short',
      severity: 'caution',
      title: told`Heels ${length(-short)} short`,
      text: 'The branches end before the fit asks for: the heel is left without support.',
      action: 'Take a size up and close it, or make the shoe.',
    })
  return [...found, ...insideLine(context)]
}

/** Holes nobody drives that lie inside the white line. */
function insideLine({ nails }: CautionContext): Caution[] {
  const holes = nails.filter(({ driven, verdict }) => !driven && verdict === 'would-prick')
  return holes.length === 0
    ? []
    : [
        {
          code: 'size-hole-inside',
          severity: 'caution',
          title:
            holes.length === 1
              ? 'A hole inside the white line'
              : `${holes.length} holes inside the white line`,
          text: `${namedNails(holes)}: a nail there would go into live tissue.`,
          action: 'Leave them empty, or take another size.',
        },
      ]
}
