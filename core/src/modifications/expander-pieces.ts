import type { Vec } from '../geometry/vector'
import { inches } from '../units/length'
import type { ShoePart } from './modification'

/** Sheet of the side plates: 12 gauge, 0.1046 in (Manufacturers' Standard Gauge). */
export const TWELVE_GAUGE = inches(0.1046)
/** Drilled lugs: 5/8 in half round, so half as high. */
export const DRILLED_LUG = { width: inches(5 / 8), height: inches(5 / 16), length: 30 }
/** The holes lie in the middle of the lugs, above the ground. */
const HOLE_HEIGHT = DRILLED_LUG.width / 2
/** The cross bar: 1/4 in rod. */
const ROD = inches(1 / 4)
/** Rod left beyond each hole. */
export const BEYOND_HOLE = inches(1 / 4)

/** How a set of cross bars grows: from the resting measure on, each longer by a step; mm. */
export interface BarSet {
  resting: number
  step: number
  bars: number
}

/** The cross bars, each a step longer from hole to hole than the last; mm. */
export const crossBars = ({ resting, step, bars }: BarSet): number[] =>
  Array.from({ length: bars }, (_, i) => resting + step * (i + 1))

/** Between the bars of a set on their template, from middle to middle, mm. */
const APART = 2 * ROD

/** A cross bar as it is cut and its holes punched: the set lies one below the other. */
function crossBarTemplate(bar: number, i: number): Pick<NonNullable<ShoePart['template']>, 'edge' | 'holes'> {
  const y = -i * APART
  const half = bar / 2
  return {
    edge: rod(half + BEYOND_HOLE, y),
    holes: [{ at: [-half, y] }, { at: [half, y] }],
  }
}

/** The side plates that hold the heels in their line: 3/4 in high. */
const SIDE_PLATE = { height: inches(3 / 4), length: 48 }

/** A box that stands against the inner rim, as seen from below. */
const box = ([x, y]: Vec, away: 1 | -1, width: number, long: number): Vec[] => [
  [x, y - long / 2],
  [x, y + long / 2],
  [x + away * width, y + long / 2],
  [x + away * width, y - long / 2],
]

/**
 * A lug that holds the cross bar's end, against the inner rim.
 *
 * @param away from the branch: -1 from the lateral one, 1 from the medial one
 */
export function drilledLug(label: string, rim: Vec, away: 1 | -1): ShoePart {
  const { width, height, length } = DRILLED_LUG
  return {
    label,
    layer: 'fitting',
    edge: box(rim, away, height, length),
    volume: (Math.PI / 4) * width * height * length,
    between: [0, width],
    swept: {
      as: 'half-round',
      line: [
        [rim[0], rim[1] - length / 2],
        [rim[0], rim[1] + length / 2],
      ],
      side: away,
      ...{ width, height },
    },
    stock: { width, thickness: height, length },
  }
}

/** Stands behind its drilled lug, as seen from the branch. */
export function sidePlate(label: string, [x, y]: Vec, away: 1 | -1): ShoePart {
  const { height, length } = SIDE_PLATE
  return {
    label,
    layer: 'plate',
    edge: box([x + away * DRILLED_LUG.height, y], away, TWELVE_GAUGE, length),
    volume: TWELVE_GAUGE * length * height,
    between: [0, height],
    stock: { width: height, thickness: TWELVE_GAUGE, length },
  }
}

/** A rod across the foot, from end to end. */
const rod = (half: number, y: number): Vec[] => [
  [-half, y - ROD / 2],
  [half, y - ROD / 2],
  [half, y + ROD / 2],
  [-half, y + ROD / 2],
]

/** A cross bar of the set, from hole to hole so long. One is in the shoe at a time; the rest is cut and waits. */
export function crossBar(bar: number, i: number, y: number): ShoePart {
  const long = bar + 2 * BEYOND_HOLE
  return {
    label: `Cross bar ${i + 1}`,
    layer: 'fitting',
    edge: i === 0 ? rod(bar / 2, y) : [],
    volume: (Math.PI / 4) * ROD * ROD * long,
    ...(i > 0
      ? { spare: true }
      : {
          swept: {
            as: 'rod',
            line: [
              [-long / 2, y],
              [long / 2, y],
            ],
            across: ROD,
            middle: HOLE_HEIGHT,
          },
        }),
    template: { kind: 'bars', ...crossBarTemplate(bar, i) },
    stock: { width: ROD, thickness: ROD, length: long },
  }
}
