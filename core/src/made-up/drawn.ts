/** Even numbers between 0 and 1 from a seed: the same seed makes the same picture (mulberry32, from memory). */
export function draws(seed: number): () => number {
  let state = Math.imul(seed, 0x9e3779b1) ^ 0x85ebca6b
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** Whatever lies at a whole place: a number between 0 and 1 that only hangs on the place and the seed. */
function lattice(x: number, y: number, seed: number): number {
  let h = Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ Math.imul(seed, 1274126177)
  h = Math.imul(h ^ (h >>> 13), 1274126177)
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296
}

/** Grain that is smooth over a step of 1: between -1 and 1. */
export function grain(x: number, y: number, seed: number): number {
  const [left, top] = [Math.floor(x), Math.floor(y)]
  const [u, v] = [x - left, y - top]
  const [s, t] = [u * u * (3 - 2 * u), v * v * (3 - 2 * v)]
  const high = lattice(left, top, seed) * (1 - s) + lattice(left + 1, top, seed) * s
  const low = lattice(left, top + 1, seed) * (1 - s) + lattice(left + 1, top + 1, seed) * s
  return 2 * (high * (1 - t) + low * t) - 1
}

/** Coarse and fine grain on each other. */
export const mottled = (x: number, y: number, seed: number): number =>
  0.55 * grain(x, y, seed) +
  0.3 * grain(x * 2.3, y * 2.3, seed + 1) +
  0.15 * grain(x * 5.1, y * 5.1, seed + 2)
