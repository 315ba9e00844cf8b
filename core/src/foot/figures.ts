import type { Animal, FootInput } from '../records/foot'
import type { FigureKind } from '../units/figure'
import { inches } from '../units/length'
import { thinnerWall } from './thinner-wall'
import { length, told, type Told } from '../notices/told'

/** What is chosen about a foot, not measured. */
export type FootChoice =
  'side' | 'animal' | 'breakoverSchool' | 'heelMeasure' | 'tipBy' | 'keepClear' | 'limits' | 'trace'

/** Every figure of a foot that can be typed. */
export type FootFigureKey = Exclude<keyof FootInput, FootChoice>

/** The figures known so far, as they are worked out one after the other. */
export type KnownFigures = Pick<FootInput, 'side' | 'animal'> &
  Record<FootFigureKey, number> & {
    /** Toe to widest part as its estimates agree on it, where they do, and how far they do, 0 to 1. */
    agreedWidest?: { at: number; confidence: number }
  }

/** One figure of the foot: how it is asked for, what is possible, what is usual, what is taken when it is not given. */
export interface FootFigure {
  key: FootFigureKey
  label: string
  kind: FigureKind
  group: 'measured' | 'widest' | 'outline' | 'wall' | 'landmarks' | 'side'
  /** Where to lay the rule, or what the number means. */
  where: Told
  /** What is possible, given the figures before it in the list. */
  range: (known: KnownFigures) => readonly [number, number]
  /** What is usual for each kind of animal; a third outside it raises a question. Recalled, not measured. */
  usual?: Record<Animal, readonly [number, number]>
  /** What is taken when the figure is not given. Needed figures have none; neither have those never guessed. */
  fallback?: (known: KnownFigures) => number
  needed?: boolean
}

const fixed = (low: number, high: number) => (): readonly [number, number] => [low, high]
const isHind = (known: KnownFigures): boolean => known.side.endsWith('H')

/**
 * The figures in the order of the work. A figure's range and fallback may use only those before it.
 * Shape defaults draw a believable foot (common practice, no source); usual sizes and wall angles are from memory.
 */
export const FOOT_FIGURES: readonly FootFigure[] = [
  {
    key: 'width',
    label: 'Width',
    kind: 'length',
    group: 'measured',
    where: 'Across the widest part of the trimmed foot, outside of wall to outside of wall.',
    range: fixed(40, 300),
    usual: { horse: [110, 155], 'heavy horse': [150, 215], pony: [80, 120], mule: [80, 125] },
    needed: true,
  },
  {
    key: 'length',
    label: 'Length',
    kind: 'length',
    group: 'measured',
    where: 'From the toe back to the line across the two buttresses, along the frog.',
    range: ({ width }) => [width * 0.6, width * 1.6],
    usual: { horse: [110, 160], 'heavy horse': [150, 220], pony: [80, 125], mule: [90, 140] },
    needed: true,
  },
  {
    key: 'heelWeb',
    label: 'Web measured to',
    kind: 'length',
    group: 'measured',
    where: 'The web to whose middle the heels were measured; half of it is added on either side.',
    range: fixed(5, 60),
    fallback: () => 25.4 * 0.75,
  },
  {
    key: 'heelWidth',
    label: 'Heel width',
    kind: 'length',
    group: 'measured',
    where: 'Across the heels at the buttresses, outside to outside or from middle to middle of the web.',
    range: ({ width }) => [width * 0.3, width * 0.96],
    usual: { horse: [70, 115], 'heavy horse': [95, 160], pony: [50, 90], mule: [50, 90] },
    needed: true,
  },
  {
    key: 'toeAngle',
    label: 'Toe angle',
    kind: 'angle',
    group: 'measured',
    where: 'Between the ground and the front of the wall at the toe.',
    range: fixed(30, 85),
    usual: { horse: [48, 57], 'heavy horse': [46, 56], pony: [48, 60], mule: [50, 64] },
    needed: true,
  },
  {
    key: 'wallThickness',
    label: 'Wall thickness',
    kind: 'length',
    group: 'measured',
    where: 'At the ground, where the nails will go: outside of the wall to the white line.',
    range: ({ width }) => [3, Math.min(25, width / 6)],
    usual: { horse: [7, 12], 'heavy horse': [9, 16], pony: [6, 10], mule: [6, 11] },
    needed: true,
  },
  {
    key: 'barsFromToe',
    label: 'Toe to end of bars',
    kind: 'length',
    group: 'widest',
    where: 'From the toe back to where the bars run out into the sole.',
    range: ({ length }) => [length * 0.2, length * 0.8],
  },
  {
    key: 'arcFromToe',
    label: 'Toe to widest arc',
    kind: 'length',
    group: 'widest',
    where: 'Lay a straight edge along the frog: from the toe back to where the sides stand widest apart.',
    range: ({ length }) => [length * 0.2, length * 0.8],
  },
  {
    key: 'widestFromToe',
    label: 'Toe to widest part',
    kind: 'length',
    group: 'widest',
    where:
      'From the toe back to the line across the widest part; left empty, the estimates that agree give it.',
    range: ({ length }) => [length * 0.25, length * 0.75],
    fallback: ({ length, agreedWidest }) => {
      const usual = length * 0.47
      return agreedWidest ? usual + (agreedWidest.at - usual) * agreedWidest.confidence : usual
    },
  },
  {
    key: 'lateralHalfWidth',
    label: 'Outer half-width',
    kind: 'length',
    group: 'outline',
    where: 'From the middle of the frog out to the lateral wall at the widest part.',
    range: ({ width, heelWidth }) => [
      Math.max(width * 0.35, heelWidth * 0.51),
      Math.min(width * 0.65, width - heelWidth * 0.51),
    ],
    fallback: ({ width }) => width / 2,
  },
  {
    key: 'quarterLead',
    label: 'Outer quarter ahead',
    kind: 'length',
    group: 'outline',
    where:
      'How far the widest point of the lateral wall lies ahead of the medial one; minus if it lies behind.',
    range: ({ length }) => [-length * 0.18, length * 0.18],
    fallback: () => 0,
  },
  {
    key: 'toeShape',
    label: 'Toe shape',
    kind: 'number',
    group: 'outline',
    where: '2 is round, less is pointed (1.8 a usual hind foot), more is broad (2.25 a flat fore foot).',
    range: fixed(1.5, 3),
    fallback: (known) => (isHind(known) ? 1.85 : 2),
  },
  {
    key: 'quarterShape',
    label: 'Quarter shape',
    kind: 'number',
    group: 'outline',
    where: '0 eases in gradually from the widest part to the heel, 1 runs straight and turns in sharply.',
    range: fixed(0, 1),
    fallback: (known) => (isHind(known) ? 0.25 : 0.4),
  },
  {
    key: 'heelAngle',
    label: 'Heel angle',
    kind: 'angle',
    group: 'wall',
    where: 'Between the ground and the back of the heel wall, seen from the side.',
    range: fixed(15, 90),
    usual: { horse: [42, 58], 'heavy horse': [40, 57], pony: [44, 60], mule: [46, 64] },
    fallback: ({ toeAngle }) => toeAngle,
  },
  {
    key: 'lateralWallAngle',
    label: 'Outer wall angle',
    kind: 'angle',
    group: 'wall',
    where: 'Between the ground and the lateral wall at the widest part; over 90° it overhangs.',
    range: fixed(45, 110),
    fallback: ({ toeAngle }) => Math.min(84, toeAngle + 21),
  },
  {
    key: 'medialWallAngle',
    label: 'Inner wall angle',
    kind: 'angle',
    group: 'wall',
    where: 'Between the ground and the medial wall at the widest part; over 90° it overhangs.',
    range: fixed(45, 110),
    fallback: ({ toeAngle }) => Math.min(88, toeAngle + 26),
  },
  {
    key: 'whiteLineWidth',
    label: 'White line width',
    kind: 'length',
    group: 'wall',
    where: 'Across the white line at the nails. A stretched line is wider.',
    range: fixed(1, 12),
    fallback: () => 3,
  },
  {
    key: 'medialWallThickness',
    label: 'Wall at the inner nails',
    kind: 'length',
    group: 'wall',
    where: 'As the wall thickness, on the inner side, which is often thinner.',
    range: ({ width }) => [2, Math.min(25, width / 6)],
    fallback: ({ wallThickness }) => wallThickness,
  },
  {
    key: 'toeWallThickness',
    label: 'Wall at the toe',
    kind: 'length',
    group: 'wall',
    where: 'At the ground in the middle of the toe: outside of the wall to the white line.',
    range: ({ width }) => [2, Math.min(30, width / 5)],
    fallback: (known) => thinnerWall(known) * 1.12,
  },
  {
    key: 'heelWallThickness',
    label: 'Wall at the heels',
    kind: 'length',
    group: 'wall',
    where: 'At the ground where the wall turns in at the buttress.',
    range: ({ width }) => [2, Math.min(25, width / 6)],
    fallback: (known) => thinnerWall(known) * 0.75,
  },
  {
    key: 'solePlane',
    label: 'Wall above the sole plane',
    kind: 'length',
    group: 'wall',
    where:
      'How far the wall still stands proud of the sole plane just inside the white line. Trim to it, never below.',
    range: fixed(0, 30),
  },
  {
    key: 'frogApex',
    label: 'Toe to frog apex',
    kind: 'length',
    group: 'widest',
    where: 'From the toe back to the true apex, where frog and sole meet after cleaning.',
    range: ({ length, widestFromToe }) => [
      length * 0.12,
      Math.min(length * 0.7, widestFromToe + length * 0.1),
    ],
    fallback: ({ widestFromToe }) => widestFromToe - 25.4 * 0.9,
  },
  {
    key: 'frogLength',
    label: 'Frog length',
    kind: 'length',
    group: 'landmarks',
    where: 'From the true apex back to the rear of the frog between the bulbs.',
    range: ({ length, frogApex }) => [(length - frogApex) * 0.6, (length - frogApex) * 1.4],
    fallback: ({ length, frogApex }) => (length - frogApex) * 1.06,
  },
  {
    key: 'frogWidth',
    label: 'Frog width',
    kind: 'length',
    group: 'landmarks',
    where: 'Across the widest part of the frog.',
    range: ({ heelWidth }) => [heelWidth * 0.12, heelWidth * 0.9],
    fallback: ({ heelWidth, frogLength }) => Math.min(heelWidth * 0.56, frogLength * 0.66),
  },
  {
    key: 'bulbLine',
    label: 'Bulbs behind buttress',
    kind: 'length',
    group: 'landmarks',
    where: 'From the buttress line back to the plumb line dropped from the bulbs.',
    range: ({ length }) => [0, length * 0.35],
    fallback: ({ length }) => length * 0.12,
  },
  {
    key: 'soleDepth',
    label: 'Sole depth',
    kind: 'length',
    group: 'landmarks',
    where: 'Thickness of the sole under the tip of the coffin bone, from a radiograph if there is one.',
    range: fixed(2, 40),
  },
  {
    key: 'tipFromToe',
    label: 'Toe to tip of P3',
    kind: 'length',
    group: 'landmarks',
    where: 'From the toe back to the tip of the coffin bone: radiograph or hoof tester. Never guessed.',
    range: ({ widestFromToe }) => [0, widestFromToe],
  },
  {
    key: 'wornBreakover',
    label: 'Old shoe broke over',
    kind: 'length',
    group: 'landmarks',
    where: 'Lay the pulled shoe on the trimmed foot: how far behind its toe the wear shows the roll.',
    range: ({ length }) => [0, length * 0.5],
  },
  {
    key: 'dorsalLength',
    label: 'Toe length',
    kind: 'length',
    group: 'side',
    where: 'Down the front of the wall from the hairline to the ground.',
    range: ({ length }) => [length * 0.35, length * 1.3],
    usual: { horse: [70, 100], 'heavy horse': [90, 135], pony: [50, 80], mule: [60, 90] },
    fallback: ({ length }) => length * 0.65,
  },
  {
    key: 'heelHeight',
    label: 'Heel height',
    kind: 'length',
    group: 'side',
    where: 'Upright from the ground to the hairline at the back of the heel.',
    range: ({ dorsalLength }) => [5, dorsalLength * 0.95],
    fallback: ({ dorsalLength, toeAngle }) => dorsalLength * Math.sin((toeAngle * Math.PI) / 180) * 0.36,
  },
  {
    key: 'pasternAngle',
    label: 'Pastern angle',
    kind: 'angle',
    group: 'side',
    where: 'Between the ground and the front of the pastern, the horse standing square. Never guessed.',
    range: fixed(30, 85),
  },
  {
    key: 'palmarAngle',
    label: 'Palmar angle',
    kind: 'angle',
    group: 'side',
    where:
      'Between the ground and the underside of P3 on the radiograph; minus if its heels hang lower. Never guessed.',
    range: fixed(-12, 30),
  },
  {
    key: 'plumbBehind',
    label: 'Plumb line behind heels',
    kind: 'length',
    group: 'side',
    where: told`A plumb line ${length(inches(3 / 8))} to ${length(inches(1 / 2))} behind the cannon: how far behind the buttress line it meets the ground; minus if ahead.`,
    range: ({ length }) => [-length * 0.4, length * 0.6],
  },
]

const BY_KEY = new Map(FOOT_FIGURES.map((figure) => [figure.key, figure]))

/** The description of one figure. */
export const footFigure = (key: FootFigureKey): FootFigure => BY_KEY.get(key)!
