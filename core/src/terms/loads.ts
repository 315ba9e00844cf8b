import type { Side } from './sides'

/**
 * Moments of standing and going: which share of the horse’s weight stands on one foot (from memory), and where: forward as a
 * share of the way from beneath the joint to the breakover, outward as a share of the way to the outer rim.
 */
export const LOAD_MOMENTS = [
  { key: 'standing', label: 'Standing', front: 0.29, hind: 0.21, forward: 0, outward: 0 },
  { key: 'walk', label: 'Mid-stance, walk', front: 0.6, hind: 0.45, forward: 0, outward: 0 },
  { key: 'trot', label: 'Mid-stance, trot', front: 1.1, hind: 0.9, forward: 0, outward: 0 },
  { key: 'outside', label: 'Landing outside first', front: 0.35, hind: 0.3, forward: -0.1, outward: 0.6 },
  { key: 'leaving', label: 'Heels leaving, trot', front: 0.6, hind: 0.5, forward: 0.75, outward: 0 },
] as const

export type LoadMoment = (typeof LOAD_MOMENTS)[number]
export type LoadMomentKey = LoadMoment['key']

/** What a horse may weigh, kg, and what is taken where nobody has said (from memory). */
export const BODY_WEIGHT = {
  range: [80, 1_400],
  usual: { horse: 500, 'heavy horse': 800, pony: 300, mule: 350 },
} as const

/** Newtons for each kilogram: standard gravity, 9.80665 m/s2 (CGPM, 1901). */
export const GRAVITY = 9.80665

/** N on one foot at a moment. */
export const newtonsOn = (kg: number, side: Side, moment: LoadMoment): number =>
  kg * GRAVITY * (side.endsWith('F') ? moment.front : moment.hind)

export const loadMoment = (key: LoadMomentKey): LoadMoment => LOAD_MOMENTS.find((one) => one.key === key)!
