import { along, cross, distance, subtract, unit, type Vec } from '../geometry/vector'
import { joint, toeOnGround } from './figures'
import { groundFrame, onPicture, type OnGround, type RadiographPoints } from './frame'
import type { TrimPlan } from './trim-plan'
import { takenAt } from './trimmed'

/** What a line on a radiograph stands for. */
export type DrawnKind = 'wall' | 'bone' | 'ground' | 'distance' | 'trim'

/** A line drawn on a radiograph, pixels, with the figures it shows. */
export interface DrawnLine {
  kind: DrawnKind
  /** Keys of the figures that are read off it. */
  shows: readonly string[]
  points: readonly Vec[]
}

/** A line goes on beyond the places it is drawn through by this share of their distance. */
const BEYOND = 0.35

/**
 * What is seen of the figures on the picture itself: lines of wall, bones and ground, the distances that are measured, and
 * where the rasp would go.
 *
 * @param plan the trim, where one is looked at
 */
export function drawnLines(points: RadiographPoints, mmPerPixel: number, plan?: TrimPlan): DrawnLine[] {
  const at = groundFrame(points, mmPerPixel)
  const seen = onPicture(points, mmPerPixel)
  if (!at || !seen) return []
  const has = (...keys: (keyof RadiographPoints)[]) => keys.every((key) => points[key] !== undefined)
  const line = (kind: DrawnKind, shows: readonly string[], ...places: Vec[]): DrawnLine => ({
    ...{ kind, shows },
    points: places.map(seen),
  })
  const lines: DrawnLine[] = [line('ground', [], at('G1'), at('G2'))]
  const toe = has('W1', 'W2') ? toeOnGround(at) : undefined
  if (has('W1', 'W2'))
    lines.push(
      line('wall', ['wallAngle', 'rotation'], ...(toe ? [beyond(toe, at('W1')), toe] : [at('W1'), at('W2')])),
    )
  if (has('E', 'T'))
    lines.push(line('bone', ['rotation', 'alignment'], beyond(at('T'), at('E')), beyond(at('E'), at('T'))))
  if (has('T', 'U'))
    lines.push(line('bone', ['palmarAngle'], beyond(at('T'), at('U')), beyond(at('U'), at('T'))))
  if (has('W1', 'W2', 'E')) lines.push(line('distance', ['wallHigh'], at('E'), ontoWall(at, 'E')))
  if (has('W1', 'W2', 'T')) lines.push(line('distance', ['wallLow'], at('T'), ontoWall(at, 'T')))
  if (has('T', 'S1')) lines.push(line('distance', ['soleTip'], at('T'), [at('T')[0], at('S1')[1]]))
  if (has('U', 'S2')) lines.push(line('distance', ['soleWing'], at('U'), [at('U')[0], at('S2')[1]]))
  if (has('C', 'E')) lines.push(line('distance', ['sinking'], at('C'), [at('C')[0], at('E')[1]], at('E')))
  const over = has('O1', 'O2', 'O3') ? joint(at) : undefined
  if (over) {
    lines.push(line('bone', ['lever', 'ahead'], ...circle(over, distance(over, at('O1')))))
    lines.push(line('distance', ['lever', 'ahead'], over, [over[0], 0]))
    if (has('P')) lines.push(line('bone', ['alignment'], over, at('P')))
    if (has('B')) lines.push(line('distance', ['lever'], [over[0], -2], [at('B')[0], -2]))
  }
  if (has('T', 'B')) lines.push(line('distance', ['breakoverAhead'], [at('T')[0], -4], [at('B')[0], -4]))
  if (plan) lines.push(...planned(at, plan).map((places) => line('trim', [], ...places)))
  return lines
}

/** Where the rasp would go from heel to breakover, and where the shoe would break over: behind the toe as trimmed. */
function planned(at: OnGround, plan: TrimPlan): Vec[][] {
  const onLine = (x: number): Vec => [x, takenAt(at, plan, x)]
  const [front, rear] = [onLine(at('B')[0]), onLine(at('H')[0])]
  const trim = [rear, front]
  const along = unit(subtract(front, rear))
  const { breakoverAt } = plan
  const over: Vec = [rear[0] + along[0] * breakoverAt, rear[1] + along[1] * breakoverAt]
  const up: Vec = [-along[1], along[0]]
  return [trim, [-8, 8].map((by): Vec => [over[0] + up[0] * by, over[1] + up[1] * by])]
}

const beyond = (from: Vec, to: Vec): Vec => along(to, subtract(to, from), BEYOND)

function ontoWall(at: OnGround, key: 'E' | 'T'): Vec {
  const [low, high, from] = [at('W2'), at('W1'), at(key)]
  const way = unit(subtract(high, low))
  const off = cross(way, subtract(from, low))
  return [from[0] + way[1] * off, from[1] - way[0] * off]
}

const circle = (middle: Vec, radius: number): Vec[] =>
  Array.from({ length: 49 }, (_, i): Vec => {
    const angle = (i / 48) * 2 * Math.PI
    return [middle[0] + radius * Math.cos(angle), middle[1] + radius * Math.sin(angle)]
  })
