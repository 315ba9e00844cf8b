import type { ShoeContext } from './modification'
import type { Chosen } from './resolve'

/** What a bar behind the heels changes for every other modification: where the bearing ends, and how high the shoe is there. */
export function closedBehind(chosen: readonly Chosen[], context: ShoeContext): ShoeContext {
  const ends = chosen.flatMap(({ modification, values }) => modification.hindmost?.(context, values) ?? [])
  if (ends.length === 0) return context
  const closed: ShoeContext = { ...context, closedAtY: Math.min(...ends) }
  const raised = chosen.filter(({ modification }) => modification.rise)
  if (raised.length === 0) return closed
  const heel = closed.rims.places[0]!
  return {
    ...closed,
    raisedBehind: (y) =>
      raised.reduce(
        (sum, { modification, values }) =>
          sum + modification.rise!({ ...heel, point: [heel.point[0], y] }, closed, values),
        0,
      ),
  }
}
