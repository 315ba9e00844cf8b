import { halved } from '../geometry/halved'
import { splineThrough } from '../geometry/spline'
import { tangent, type Curve } from '../geometry/curve'
import type { Vec } from '../geometry/vector'
import type { Trace } from '../records/foot'

/** What is read from a traced outline, mm in its own frame. */
export interface ReadTrace {
  curve: Curve
  /** Parameters of its places on the curve. */
  at: { lateralWidest: number; toe: number; medialWidest: number }
  /** The line across the widest places, y in the trace's own frame; what follows is counted from it. */
  base: number
  /** Toe and buttress line. */
  toeY: number
  buttressY: number
  /** By branch, lateral first: from the axis out to its widest place and to its heel, and where the widest lies. */
  branches: readonly [TracedBranch, TracedBranch]
}

/** One side of a traced outline, mm. */
export interface TracedBranch {
  widest: number
  widestY: number
  heel: number
}

/** The same trace is read again with every figure that is changed beside it. */
const READ = new WeakMap<Trace, ReadTrace | string>()

/**
 * Reads a trace: knots in the foot's frame from the lateral to the medial heel (x lateral, y toward the toe, the axis of the
 * frog at x 0), wherever its y begins.
 *
 * @returns what is read from it, or a sentence that says why it is no foot
 */
export function readTrace(trace: Trace): ReadTrace | string {
  let read = READ.get(trace)
  if (read === undefined) READ.set(trace, (read = reading(trace)))
  return read
}

function reading(trace: Trace): ReadTrace | string {
  if (trace.some((knot, i) => i > 0 && knot[0] === trace[i - 1]![0] && knot[1] === trace[i - 1]![1]))
    return 'The traced outline has two knots in one place'
  const curve = splineThrough(trace)
  const first = trace[0]!
  const last = trace[trace.length - 1]!
  if (!(first[0] > 0 && last[0] < 0))
    return 'The traced outline must begin at the outer heel and end at the inner one, the frog between them'
  const lateralWidest = extreme(curve, trace, 1)
  const medialWidest = extreme(curve, trace, -1)
  const toe = crossing(curve, lateralWidest, medialWidest)
  if (toe === undefined) return 'The traced outline has no toe between its widest places'
  const [lateral, medial, front] = [lateralWidest, medialWidest, toe].map((t) => curve.point(t)) as [
    Vec,
    Vec,
    Vec,
  ]
  const across = (lateral[1] + medial[1]) / 2
  const heels = (first[1] + last[1]) / 2
  if (!(front[1] > Math.max(lateral[1], medial[1]) && heels < Math.min(lateral[1], medial[1])))
    return 'The traced outline must have its toe ahead of its widest places, and its heels behind them'
  return {
    curve,
    at: { lateralWidest, toe, medialWidest },
    base: across,
    toeY: front[1] - across,
    buttressY: heels - across,
    branches: [
      { widest: lateral[0], widestY: lateral[1] - across, heel: first[0] },
      { widest: -medial[0], widestY: medial[1] - across, heel: -last[0] },
    ],
  }
}

/** Where the curve lies furthest to one side: near its furthest knot, there where it runs along the axis. */
function extreme(curve: Curve, trace: Trace, sign: 1 | -1): number {
  let knot = 0
  trace.forEach(([x], i) => {
    if (sign * x > sign * trace[knot]![0]) knot = i
  })
  const from = curve.breaks[Math.max(0, knot - 1)]!
  const to = curve.breaks[Math.min(trace.length - 1, knot + 1)]!
  const outward = (t: number) => sign * tangent(curve, t)[0]
  // A heel that is the widest of all lies at its end.
  if (outward(from) <= 0) return from
  if (outward(to) >= 0) return to
  return halved(from, to, (t) => outward(t) > 0)
}

/** Where the curve crosses the axis at the toe, between its widest places. */
function crossing(curve: Curve, from: number, to: number): number | undefined {
  if (!(from < to)) return undefined
  return halved(from, to, (t) => curve.point(t)[0] > 0)
}
