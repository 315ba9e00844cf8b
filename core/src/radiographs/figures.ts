import { cross, subtract, unit, type Vec } from '../geometry/vector'
import { degrees } from '../units/angle'
import { RADIOGRAPH_POINTS, type RadiographPointKey } from '../terms/radiograph-points'
import { groundFrame, middleOfCircle, type OnGround, type RadiographPoints } from './frame'

/** What a figure is counted in: degrees, mm, or a share of 1. */
export type RadiographUnit = 'degrees' | 'mm' | 'share'

/** A figure that is read off a lateral radiograph. */
export interface RadiographFigureKind {
  key: string
  label: string
  unit: RadiographUnit
  /** What it says, and which sign means what. */
  means: string
  /** The places it is read from. */
  from: readonly RadiographPointKey[]
  /** From memory, of an ordinary riding horse; the horse's own other foot and earlier pictures count for more. */
  usual?: readonly [number, number]
  /** @returns undefined where the places give none */
  read: (at: OnGround) => number | undefined
}

/** A figure as it was read, or what it lacks. */
export interface RadiographFigure {
  key: string
  unit: RadiographUnit
  value: number | null
  /** One standard deviation, for half a millimetre of error at each place. */
  uncertainty: number | null
  /** Names of the places that are not marked. */
  lacks?: readonly string[]
}

/** Error of a tap, mm, each way. */
export const TAPPING = 0.5

/** The angle of a line from a place behind or below to one ahead or above, degrees against the ground. */
const rise = (from: Vec, to: Vec): number => degrees(Math.atan2(to[1] - from[1], to[0] - from[0]))

/** How steep a line stands that leans back from the ground, as the front of a wall does: degrees, 90 upright. */
const lean = (low: Vec, high: Vec): number => degrees(Math.atan2(high[1] - low[1], low[0] - high[0]))

/** By how much one line stands steeper than another, never more than half a turn. */
const steeper = (by: number): number => by - 360 * Math.round(by / 360)

/** The middle of the coffin joint. */
export const joint = (at: OnGround): Vec | undefined => middleOfCircle(at('O1'), at('O2'), at('O3'))

const acrossWall = (at: OnGround, key: RadiographPointKey): number =>
  Math.abs(cross(unit(subtract(at('W1'), at('W2'))), subtract(at(key), at('W2'))))

/** Where the line of the front wall meets the ground. */
export function toeOnGround(at: OnGround): Vec | undefined {
  const [low, high] = [at('W2'), at('W1')]
  const up = high[1] - low[1]
  if (up <= 0) return undefined
  return [low[0] + ((low[0] - high[0]) * low[1]) / up, 0]
}

const JOINT = ['O1', 'O2', 'O3'] as const

/** Every figure. Another is an entry here. */
export const RADIOGRAPH_FIGURES: readonly RadiographFigureKind[] = [
  {
    key: 'palmarAngle',
    label: 'Palmar angle',
    unit: 'degrees',
    means: 'Underside of P3 against the ground; minus where its wing hangs lower than its tip.',
    from: ['T', 'U'],
    usual: [2, 10],
    read: (at) => -rise(at('U'), at('T')),
  },
  {
    key: 'wallAngle',
    label: 'Front wall',
    unit: 'degrees',
    means: 'Front of the wall against the ground.',
    from: ['W1', 'W2'],
    usual: [48, 57],
    read: (at) => lean(at('W2'), at('W1')),
  },
  {
    key: 'rotation',
    label: 'P3 against the wall',
    unit: 'degrees',
    means: 'By how much the front of P3 stands steeper than the wall: capsular rotation. Minus: flatter.',
    from: ['W1', 'W2', 'E', 'T'],
    usual: [-2, 3],
    read: (at) => steeper(lean(at('T'), at('E')) - lean(at('W2'), at('W1'))),
  },
  {
    key: 'alignment',
    label: 'P3 against the pastern',
    unit: 'degrees',
    means:
      'By how much the line of the bones above stands steeper than the front of P3: broken back. Minus: broken forward.',
    from: ['E', 'T', 'P', ...JOINT],
    usual: [-4, 4],
    read: (at) => {
      const middle = joint(at)
      return middle && steeper(lean(middle, at('P')) - lean(at('T'), at('E')))
    },
  },
  {
    key: 'sinking',
    label: 'Hairline above P3',
    unit: 'mm',
    means: 'How far the top of P3 lies below the hairline: more than on the other foot or before is sinking.',
    from: ['C', 'E'],
    usual: [0, 10],
    read: (at) => at('C')[1] - at('E')[1],
  },
  {
    key: 'wallHigh',
    label: 'Wall, high',
    unit: 'mm',
    means: 'From the front of the wall square in to the top of P3.',
    from: ['W1', 'W2', 'E'],
    usual: [15, 20],
    read: (at) => acrossWall(at, 'E'),
  },
  {
    key: 'wallLow',
    label: 'Wall, low',
    unit: 'mm',
    means: 'From the front of the wall square in to the tip of P3.',
    from: ['W1', 'W2', 'T'],
    usual: [15, 20],
    read: (at) => acrossWall(at, 'T'),
  },
  {
    key: 'soleTip',
    label: 'Sole under the tip',
    unit: 'mm',
    means: 'From the tip of P3 straight down to the sole.',
    from: ['T', 'S1'],
    usual: [15, 25],
    read: (at) => at('T')[1] - at('S1')[1],
  },
  {
    key: 'soleWing',
    label: 'Sole under the wing',
    unit: 'mm',
    means: 'From the underside of P3, behind, straight down to the sole.',
    from: ['U', 'S2'],
    usual: [15, 30],
    read: (at) => at('U')[1] - at('S2')[1],
  },
  {
    key: 'breakoverAhead',
    label: 'Breakover ahead of the tip',
    unit: 'mm',
    means: 'Along the ground from under the tip of P3 to the foremost contact; minus: behind it.',
    from: ['T', 'B'],
    read: (at) => at('B')[0] - at('T')[0],
  },
  {
    key: 'lever',
    label: 'Breakover to coffin joint',
    unit: 'mm',
    means: 'Along the ground from under the middle of the coffin joint to the foremost contact.',
    from: [...JOINT, 'B'],
    read: (at) => {
      const middle = joint(at)
      return middle && at('B')[0] - middle[0]
    },
  },
  {
    key: 'ahead',
    label: 'Bearing ahead of the joint',
    unit: 'share',
    means: 'Share of the bearing, from heel to breakover, that lies ahead of the middle of the coffin joint.',
    from: [...JOINT, 'B', 'H'],
    usual: [0.4, 0.6],
    read: (at) => {
      const middle = joint(at)
      const long = at('B')[0] - at('H')[0]
      return middle && long > 0 ? (at('B')[0] - middle[0]) / long : undefined
    },
  },
  {
    key: 'tipFromToe',
    label: 'Tip behind the toe',
    unit: 'mm',
    means: 'Along the ground from where the front wall meets it back to under the tip: to mark on the sole.',
    from: ['W1', 'W2', 'T'],
    read: (at) => {
      const toe = toeOnGround(at)
      return toe && toe[0] - at('T')[0]
    },
  },
  {
    key: 'tipAheadOfApex',
    label: 'Tip ahead of the frog apex',
    unit: 'mm',
    means: 'Along the ground from the true frog apex forward to under the tip.',
    from: ['T', 'F'],
    read: (at) => at('T')[0] - at('F')[0],
  },
  {
    key: 'bearingLength',
    label: 'Bearing, heel to breakover',
    unit: 'mm',
    means: 'Along the ground from the hindmost to the foremost contact.',
    from: ['B', 'H'],
    read: (at) => at('B')[0] - at('H')[0],
  },
]

const named = (key: RadiographPointKey): string => RADIOGRAPH_POINTS.find((one) => one.key === key)!.label

/**
 * Reads every figure of a lateral radiograph, each with what half a millimetre of tapping error makes of it.
 *
 * @param points pixels of the picture; those that were marked
 * @param mmPerPixel of the picture in the plane of the foot
 */
export function radiographFigures(points: RadiographPoints, mmPerPixel: number): RadiographFigure[] {
  return RADIOGRAPH_FIGURES.map(({ key, unit: counted, from, read }) => {
    const needed = [...new Set<RadiographPointKey>([...from, 'G1', 'G2'])]
    const lacks = needed.filter((one) => points[one] === undefined).map(named)
    const value = lacks.length === 0 ? readAt(read, points, mmPerPixel) : undefined
    if (value === undefined)
      return { key, unit: counted, value: null, uncertainty: null, ...(lacks.length > 0 && { lacks }) }
    return { key, unit: counted, value, uncertainty: spread(read, needed, points, mmPerPixel) }
  })
}

function readAt(
  read: RadiographFigureKind['read'],
  points: RadiographPoints,
  mmPerPixel: number,
): number | undefined {
  const at = groundFrame(points, mmPerPixel)
  const value = at && read(at)
  return value !== undefined && Number.isFinite(value) ? value : undefined
}

/** How a figure moves when each of its places is moved by the error of a tap, put together as independent errors are. */
function spread(
  read: RadiographFigureKind['read'],
  needed: readonly RadiographPointKey[],
  points: RadiographPoints,
  mmPerPixel: number,
): number {
  const by = TAPPING / mmPerPixel
  let squares = 0
  for (const key of needed)
    for (const axis of [0, 1] as const) {
      const moved = (step: number) => {
        const [x, y] = points[key]!
        return readAt(read, { ...points, [key]: axis === 0 ? [x + step, y] : [x, y + step] }, mmPerPixel)
      }
      const [more, less] = [moved(by), moved(-by)]
      if (more !== undefined && less !== undefined) squares += ((more - less) / 2) ** 2
    }
  return Math.sqrt(squares)
}
