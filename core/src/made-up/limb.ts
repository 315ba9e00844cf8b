import { rotated, type Vec } from '../geometry/vector'
import { radians } from '../units/angle'
import type { RadiographPointKey } from '../terms/radiograph-points'

/** What a made-up lateral radiograph shows, degrees and mm: the truth that is read from it again. */
export interface LimbTruth {
  palmarAngle: number
  wallAngle: number
  rotation: number
  alignment: number
  sinking: number
  wallLow: number
  soleTip: number
  breakoverAhead: number
  lever: number
  bearingLength: number
  tipAheadOfApex: number
}

export const USUAL_LIMB: LimbTruth = {
  ...{ palmarAngle: 5, wallAngle: 52, rotation: 1, alignment: 0, sinking: 6, wallLow: 17, soleTip: 18 },
  ...{ breakoverAhead: 26, lever: 58, bearingLength: 120, tipAheadOfApex: 12 },
}

/** How the picture is taken: mm a pixel, where it lies and how it is turned, which way the foot looks. */
export interface Exposure {
  mmPerPixel: number
  turn: number
  looksLeft: boolean
}

const leaning = (angle: number, long: number): Vec => [
  -Math.cos(radians(angle)) * long,
  Math.sin(radians(angle)) * long,
]
const plus = ([x, y]: Vec, [dx, dy]: Vec): Vec => [x + dx, y + dy]

/** The places of a limb with these figures, in pixels of a picture taken so. The tip of P3 stands above x 0. */
export function madeLimb(
  truth: LimbTruth,
  { mmPerPixel, turn, looksLeft }: Exposure,
): Record<RadiographPointKey, Vec> {
  const tip: Vec = [0, truth.soleTip]
  const wing: Vec = [-60, truth.soleTip + 60 * Math.tan(radians(truth.palmarAngle))]
  const boneAngle = truth.wallAngle + truth.rotation
  const top = plus(tip, leaning(boneAngle, 62))
  // The wall lies square out from the tip by its thickness.
  const out: Vec = [Math.sin(radians(truth.wallAngle)), Math.cos(radians(truth.wallAngle))]
  const wallAtTip = plus(tip, [out[0] * truth.wallLow, out[1] * truth.wallLow])
  const joint: Vec = [truth.breakoverAhead - truth.lever, truth.soleTip + 46]
  const onJoint = (angle: number): Vec =>
    plus(joint, [19 * Math.cos(radians(angle)), 19 * Math.sin(radians(angle))])
  const breakover: Vec = [truth.breakoverAhead, 0]
  const places: Record<RadiographPointKey, Vec> = {
    W1: plus(wallAtTip, leaning(truth.wallAngle, 55)),
    W2: plus(wallAtTip, leaning(truth.wallAngle, 8)),
    C: [top[0] + 14, top[1] + truth.sinking],
    ...{ E: top, T: tip, U: wing },
    ...{ O1: onJoint(-20), O2: onJoint(-80), O3: onJoint(-150) },
    P: plus(joint, leaning(boneAngle + truth.alignment, 70)),
    ...{ G1: [90, 0], G2: [-130, 0], B: breakover, H: [truth.breakoverAhead - truth.bearingLength, 0] },
    ...{ S1: [0, 0], S2: [-60, 0], F: [-truth.tipAheadOfApex, 2] },
  }
  const seen = ([x, y]: Vec): Vec => {
    const [u, v] = rotated([looksLeft ? -x : x, y], radians(looksLeft ? -turn : turn))
    return [700 + u / mmPerPixel, 900 - v / mmPerPixel]
  }
  return Object.fromEntries(Object.entries(places).map(([key, at]) => [key, seen(at)])) as typeof places
}
