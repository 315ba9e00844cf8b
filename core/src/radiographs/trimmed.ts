import { dot, subtract, unit, type Vec } from '../geometry/vector'
import type { RadiographPointKey } from '../terms/radiograph-points'
import type { OnGround } from './frame'

/** What the rasp takes at either end of the bearing, running out to nothing or to what it takes at the other, mm. */
export interface RaspLine {
  trimToe: number
  trimHeel: number
}

/** Places that lie on the ground or on the sole: they come up with what is taken below them. */
const BELOW: ReadonlySet<RadiographPointKey> = new Set(['G1', 'G2', 'B', 'H', 'S1', 'S2'])

/** What the rasp takes at a place along the ground, mm: straight from heel to toe of the bearing, and on beyond them. */
export function takenAt(at: OnGround, { trimToe, trimHeel }: RaspLine, x: number): number {
  const [front, rear] = [at('B')[0], at('H')[0]]
  return trimHeel + ((trimToe - trimHeel) * (x - rear)) / (front - rear)
}

/**
 * The foot as it stands once it is trimmed: its places in the frame of the ground that the rasp has made. Bones and wall
 * stay where they are in the foot; ground, bearing and sole lie where the rasp has left them.
 */
export function onTrimmed(at: OnGround, rasp: RaspLine): OnGround {
  const onLine = (x: number): Vec => [x, takenAt(at, rasp, x)]
  const [front, rear] = [onLine(at('B')[0]), onLine(at('H')[0])]
  const ahead = unit(subtract(front, rear))
  const up: Vec = [-ahead[1], ahead[0]]
  return (key) => {
    const [x, y] = at(key)
    const place: Vec = BELOW.has(key) ? lifted(key, [x, y]) : [x, y]
    const from = subtract(place, rear)
    return [dot(from, ahead) + rear[0], dot(from, up)]
  }

  function lifted(key: RadiographPointKey, [x, y]: Vec): Vec {
    const taken = takenAt(at, rasp, x)
    // What stands on the ground stands on the new one; the sole keeps its cup above it.
    return key === 'S1' || key === 'S2' ? [x, y + taken] : [x, taken]
  }
}
