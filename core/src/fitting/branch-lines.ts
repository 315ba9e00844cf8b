import { cross, subtract } from '../geometry/vector'
import { length, told, type Told } from '../notices/told'
import { branchLength, lineLength, pointAt, type Centreline } from './centreline'

/** The hindmost part of a branch that its line is laid along, as a share of it. */
const ALONG = 0.25

/** Lines that meet further back than this many times the shoe's length run side by side. */
const SIDE_BY_SIDE = 4

/** Where the lines of the two branches, carried back, meet. */
export interface BranchLines {
  /** y of the foot's frame; none where they run side by side or apart. */
  meetAt?: number
  right: boolean
  words: Told
}

/**
 * Lays a line along the end of each branch and carries both back: by one school they meet over the bulbs or behind
 * them, and the heels then bear under the side cartilages; where they meet before the bulbs the heels are closed in.
 *
 * @param bulbY the plumb line of the bulbs, y of the foot's frame, mm
 */
export function branchLines(line: Centreline, bulbY: number): BranchLines {
  const { points } = line
  const whole = lineLength(line)
  const outer = subtract(points[0]!, pointAt(line, branchLength(line, 'lateral') * ALONG))
  const last = points[points.length - 1]!
  const inner = subtract(last, pointAt(line, whole - branchLength(line, 'medial') * ALONG))
  const turned = cross(outer, inner)
  const along = cross(subtract(last, points[0]!), inner) / turned
  const meetAt = points[0]![1] + outer[1] * along
  const near = Math.abs(turned) > 1e-9 && along > 0 && bulbY - meetAt < whole * SIDE_BY_SIDE
  if (!near)
    return {
      right: true,
      words: 'The lines of the branches run side by side: they carry straight back beside the bulbs.',
    }
  const behind = bulbY - meetAt
  return {
    meetAt,
    right: behind >= 0,
    words:
      behind >= 0
        ? told`The lines of the branches meet ${length(behind)} behind the plumb of the bulbs: the heels bear under them.`
        : told`The lines of the branches meet ${length(-behind)} before the plumb of the bulbs: the heels are closed in. Open both heels.`,
  }
}
