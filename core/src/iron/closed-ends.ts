import { pointAlong, stationsAlong } from '../geometry/walked'
import { along, subtract, unit, type Vec } from '../geometry/vector'
import type { TurnedBar } from '../modifications/modification'
import type { Half } from '../terms/half'

/** Bar that closes a shoe behind its heels: of the straight bar, mm, and as it lies in the end. */
export interface Closing {
  asCut: number
  turned: TurnedBar
}

/**
 * What of the bar lies beyond the heels: straight on until it is turned, then along its run, one end over the other where it
 * is longer than that.
 *
 * @param core the bar of the branches, from the lateral to the medial heel
 * @param closed it is turned
 * @param raised it is as thick as the heels are in the end
 * @returns each as it goes on before the first and behind the last point of the core
 */
export function closedEnds(
  core: readonly Vec[],
  closing: Closing | undefined,
  closed: boolean,
  raised: boolean,
): Record<Half, Vec[]> {
  if (!closing) return { lateral: [], medial: [] }
  const { run, length } = closing.turned
  const long = (closed || raised ? length : closing.asCut) / 2
  const last = core.length - 1
  const backward = run.slice().reverse()
  return {
    lateral: (closed ? runOf(run, long) : onward(core[1]!, core[0]!, long)).reverse(),
    medial: closed ? runOf(backward, long) : onward(core[last - 1]!, core[last]!, long),
  }
}

/** Straight on from the second of two points. */
const onward = (before: Vec, from: Vec, long: number): Vec[] => [
  along(from, unit(subtract(from, before)), long),
]

/** So much of a line behind its first point; what is longer goes straight on from its end. */
function runOf(line: readonly Vec[], long: number): Vec[] {
  const stations = stationsAlong(line)
  const whole = stations[stations.length - 1]!
  const passed = line.filter((_, i) => i > 0 && stations[i]! < long)
  if (long <= whole) return [...passed, pointAlong(line, long, stations)]
  return [...passed, ...onward(line[line.length - 2]!, line[line.length - 1]!, long - whole)]
}
