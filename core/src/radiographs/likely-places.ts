import type { Vec } from '../geometry/vector'
import { RADIOGRAPH_POINT_KEYS, type RadiographPointKey } from '../terms/radiograph-points'
import type { RadiographPoints } from './frame'

/** Where the places of an ordinary foot lie, mm: x toward the toe, y up from the ground, the tip of P3 over 0 (from memory). */
const USUAL: Readonly<Record<RadiographPointKey, Vec>> = {
  ...{ W1: [-25, 78], W2: [8, 35], C: [-23, 75], E: [-37, 68], T: [0, 18], U: [-60, 23] },
  ...{ O1: [-14, 57], O2: [-29, 45], O3: [-48, 55], P: [-74, 120] },
  ...{ G1: [90, 0], G2: [-130, 0], B: [26, 0], H: [-94, 0], S1: [0, 0], S2: [-60, 0], F: [-12, 2] },
}
/** Share of a picture's width that such a foot takes, ground line and all, before anything is marked. */
const TAKES = 0.84
/** How much a limb that lies on its side counts against a fit, as a share of its spread. */
const UPRIGHT = 0.2

/** Turn and size as one complex number, and a shift: how the usual foot is laid onto a picture. */
interface Laid {
  flip: 1 | -1
  turn: Vec
  shift: Vec
}

/**
 * Where each place likely lies on a picture, from those that are marked: the usual foot is shifted, turned, sized and
 * mirrored onto them by least squares. A proposal to begin from, never a place that is set.
 *
 * @param size of the picture, pixels; nothing is proposed outside it
 */
export function likelyPlaces(
  set: RadiographPoints,
  { width, height }: { width: number; height: number },
): Record<RadiographPointKey, Vec> {
  const { flip, turn, shift } = laid(set, width, height)
  const within = ([x, y]: Vec): Vec => [
    Math.min(width * 0.98, Math.max(width * 0.02, x)),
    Math.min(height * 0.98, Math.max(height * 0.02, y)),
  ]
  const place = (key: RadiographPointKey): Vec => {
    const [x, y] = times(turn, mirrored(USUAL[key], flip))
    return within([x + shift[0], y + shift[1]])
  }
  return Object.fromEntries(RADIOGRAPH_POINT_KEYS.map((key) => [key, place(key)])) as Record<
    RadiographPointKey,
    Vec
  >
}

function laid(set: RadiographPoints, width: number, height: number): Laid {
  const keys = RADIOGRAPH_POINT_KEYS.filter((key) => set[key] !== undefined)
  if (keys.length >= 2) {
    const ways = ([1, -1] as const).map((flip) => fitted(set, keys, flip))
    return ways.reduce((best, way) => (way.off < best.off ? way : best)).laid
  }
  const size = (width * TAKES) / (USUAL.G1[0] - USUAL.G2[0])
  const turn: Vec = [size, 0]
  const only = keys[0]
  const at: Vec = only ? set[only]! : [width / 2, height * 0.8]
  const [x, y] = times(turn, mirrored(only ? USUAL[only] : [(USUAL.G1[0] + USUAL.G2[0]) / 2, 0], 1))
  return { flip: 1, turn, shift: [at[0] - x, at[1] - y] }
}

/** The best turn, size and shift of the usual foot, mirrored or not, and how badly it fits, as a share of its size. */
function fitted(
  set: RadiographPoints,
  keys: readonly RadiographPointKey[],
  flip: 1 | -1,
): { laid: Laid; off: number } {
  const pairs = keys.map((key) => ({ from: mirrored(USUAL[key], flip), to: set[key]! }))
  const middle = (which: 'from' | 'to'): Vec => [
    pairs.reduce((sum, pair) => sum + pair[which][0], 0) / pairs.length,
    pairs.reduce((sum, pair) => sum + pair[which][1], 0) / pairs.length,
  ]
  const [from, to] = [middle('from'), middle('to')]
  let [real, imaginary, squares, spread] = [0, 0, 0, 0]
  for (const pair of pairs) {
    const [a, b] = [pair.from[0] - from[0], pair.from[1] - from[1]]
    const [x, y] = [pair.to[0] - to[0], pair.to[1] - to[1]]
    real += a * x + b * y
    imaginary += a * y - b * x
    squares += a * a + b * b
    spread += x * x + y * y
  }
  const turn: Vec = [real / squares, imaginary / squares]
  const size = Math.hypot(...turn)
  const left = Math.max(0, spread - size * size * squares)
  const [x, y] = times(turn, from)
  return {
    laid: { flip, turn, shift: [to[0] - x, to[1] - y] },
    // Two places fit both ways: the limb that stands is taken.
    off: Math.sqrt(left / (spread || 1)) + UPRIGHT * (1 - turn[0] / (size || 1)),
  }
}

/** Toward the toe and up, as on a picture: to the right or the left, and counted down. */
const mirrored = ([x, y]: Vec, flip: 1 | -1): Vec => [flip * x, -y]
const times = ([a, b]: Vec, [x, y]: Vec): Vec => [a * x - b * y, a * y + b * x]
