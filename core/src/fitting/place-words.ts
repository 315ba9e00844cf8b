import { distance, type Vec } from '../geometry/vector'
import { length, told, type Told } from '../notices/told'
import type { Plan } from '../plan/plan'
import type { Half } from '../terms/half'
import { partAt } from '../terms/trying'
import type { Bend } from './bend'
import { branchLength, centrelineOf, type Centreline } from './centreline'

/** A thing on a branch by which a place is named. */
export interface Landmark {
  name: string
  branch: Half
  /** Along the centreline from the middle of the toe, mm. */
  fromToe: number
}

/** A landmark is named for what lies this near, mm. */
const NEAR = 6

const whose = (branch: Half): string => (branch === 'lateral' ? 'outer' : 'inner')

/** Where a bend is made, in words: at a hole or a clip, else by its region. */
export function placeInWords(
  { branch, fromToe }: Bend,
  line: Centreline,
  landmarks: readonly Landmark[],
): string {
  const own = landmarks.filter((one) => one.branch === branch)
  const nearest = own.reduce<Landmark | undefined>(
    (near, one) => (near && Math.abs(near.fromToe - fromToe) <= Math.abs(one.fromToe - fromToe) ? near : one),
    undefined,
  )
  if (nearest && Math.abs(nearest.fromToe - fromToe) <= NEAR)
    return `${whose(branch)} branch, at ${nearest.name}`
  const before = own.filter((one) => one.fromToe < fromToe).sort((a, b) => b.fromToe - a.fromToe)[0]
  const after = own.filter((one) => one.fromToe > fromToe).sort((a, b) => a.fromToe - b.fromToe)[0]
  if (before && after) return `${whose(branch)} branch, between ${before.name} and ${after.name}`
  return `${whose(branch)} branch, at the ${partAt(fromToe / branchLength(line, branch))}`
}

/** How it is done on the horn: which edge down, daylight under what must give, where to strike. */
export function onTheHorn(bend: Bend, place: string): Told {
  const [down, up] = bend.angle > 0 ? ['outer', 'inner'] : ['inner', 'outer']
  return told`${down.charAt(0).toUpperCase()}${down.slice(1)} edge down, resting on the horn just ahead of it (${place}, ${length(bend.fromToe)} from the toe); leave daylight beneath and strike the ${up} edge just beyond.`
}

/** The holes and clips of a planned shoe as places of its centreline. */
export function landmarksOf(plan: Plan, line: Centreline): Landmark[] {
  const nearest = (x: number, y: number) =>
    line.points.reduce(
      (best, point, i) => (distance(point, [x, y]) < distance(line.points[best]!, [x, y]) ? i : best),
      0,
    )
  const at = (x: number, y: number, name: string): Landmark => {
    const off = line.stations[nearest(x, y)]! - line.toe
    return { name, branch: off < 0 ? 'lateral' : 'medial', fromToe: Math.abs(off) }
  }
  const holes = plan.nails.map((nail) => at(nail.x, nail.y, `hole ${nail.number}`))
  const clips = plan.parts.flatMap(({ layer, edge }) => {
    if (layer !== 'clip' || edge.length < 3) return []
    const middle = edge.reduce(([a, b], [x, y]) => [a + x / edge.length, b + y / edge.length], [0, 0] as [
      number,
      number,
    ])
    const found = at(...middle, 'the clip')
    return found.fromToe > NEAR ? [found] : []
  })
  return [...holes, ...clips]
}

/** The centreline of a planned shoe; the middle of its toe lies on the foot's axis. */
export const centrelineOfPlan = ({ outline }: Plan): Centreline => lineAboutToe(outline.centreline)

/** A line of a planned shoe, walked from the lateral to the medial heel, with the middle of its toe where it crosses the foot's axis. */
export function lineAboutToe(points: readonly Vec[]): Centreline {
  const line = centrelineOf(points)
  const after = line.points.findIndex(([x, y], i) => i > 0 && y > 0 && x <= 0 && line.points[i - 1]![0] > 0)
  if (after < 0) return line
  const [from, to] = [line.points[after - 1]![0], line.points[after]![0]]
  const [low, high] = [line.stations[after - 1]!, line.stations[after]!]
  return { ...line, toe: low + ((high - low) * from) / (from - to) }
}
