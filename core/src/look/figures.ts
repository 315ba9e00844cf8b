import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import type { FigureKind } from '../units/figure'
import type { OldShoe, Untrimmed } from '../records/look'

/** A figure read before the trim: on the foot as it was found, or on the old shoe against it. */
export interface LookFigure<Key extends string = string> {
  key: Key
  label: string
  kind: FigureKind
  where: string
  range: readonly [number, number]
}

/** The old shoe against the foot at the end of its cycle, before it is pulled. */
export const OLD_SHOE_FIGURES: readonly LookFigure<Exclude<keyof OldShoe, 'wear'>>[] = [
  {
    key: 'breakover',
    label: 'Breakover behind toe',
    kind: 'length',
    where: 'From the toe of the foot back to where the old shoe is worn to roll.',
    range: [-20, 150],
  },
  {
    key: 'widest',
    label: 'Widest part behind toe',
    kind: 'length',
    where: 'From the toe of the foot back to the widest part of the old shoe.',
    range: [20, 250],
  },
  {
    key: 'heelEnds',
    label: 'Heel ends behind buttress',
    kind: 'length',
    where: 'From the buttress line back to the heel ends of the old shoe; minus if they end ahead of it.',
    range: [-60, 100],
  },
  {
    key: 'leftToe',
    label: 'Left at the toe',
    kind: 'length',
    where: 'Thickness of the shoe that is left at the middle of the toe: what wear is told from.',
    range: [0, 40],
  },
  {
    key: 'leftQuarters',
    label: 'Left at the quarters',
    kind: 'length',
    where: 'Where it is thinner of the two.',
    range: [0, 40],
  },
  {
    key: 'leftOuterHeel',
    label: 'Left at the outer heel',
    kind: 'length',
    where: 'Thickness that is left there.',
    range: [0, 40],
  },
  {
    key: 'leftInnerHeel',
    label: 'Left at the inner heel',
    kind: 'length',
    where: 'Thickness that is left there.',
    range: [0, 40],
  },
]

/** The foot as it was found. */
export const UNTRIMMED_FIGURES: readonly LookFigure<keyof Untrimmed>[] = [
  {
    key: 'width',
    label: 'Width',
    kind: 'length',
    where: 'Across the widest part, flares and all.',
    range: [40, 300],
  },
  { key: 'length', label: 'Length', kind: 'length', where: 'Toe to the buttress line.', range: [40, 320] },
  {
    key: 'heelWidth',
    label: 'Heel width',
    kind: 'length',
    where: 'Across the heels, outside to outside.',
    range: [15, 280],
  },
  {
    key: 'toeAngle',
    label: 'Toe angle',
    kind: 'angle',
    where: 'Ground to the front of the wall.',
    range: [30, 85],
  },
  {
    key: 'heelAngle',
    label: 'Heel angle',
    kind: 'angle',
    where: 'Ground to the back of the heel wall.',
    range: [15, 90],
  },
  {
    key: 'pasternAngle',
    label: 'Pastern angle',
    kind: 'angle',
    where: 'Ground to the front of the pastern.',
    range: [30, 85],
  },
  {
    key: 'dorsalLength',
    label: 'Toe length',
    kind: 'length',
    where: 'Hairline to ground down the front of the wall.',
    range: [30, 200],
  },
  {
    key: 'heelHeight',
    label: 'Heel height',
    kind: 'length',
    where: 'Hairline to ground at the heel, upright.',
    range: [5, 160],
  },
]

/** The problem of a figure that cannot be. */
export const lookProblem = (figure: LookFigure, value: number): Problem | undefined =>
  outOfRange(`look.${figure.key}`, figure.label, figure.kind, value, figure.range)
