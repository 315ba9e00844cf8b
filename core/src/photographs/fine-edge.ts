import { bestPath } from './best-path'
import { outFrom, type Band } from './band'
import type { Lab } from './colours'
import { colourOf, type Looked } from './regions'

/** How an edge was found at one place of a band: mm out from its line, and how clearly it stands out (1 as clear as can be). */
export interface FineEdge {
  out: number
  clear: number
}

/** How far the edge is looked for to both sides, and the grain of the looking, mm. */
const REACH = 3
const GRAIN = 0.1
/** Colours are compared over so many mm to both sides of an edge. */
const BESIDE = 1.6

/**
 * The edge of a thing to a fraction of a pixel: where its colour turns into that of the ground most quickly, in the full
 * picture, as a path along the band.
 *
 * @param band its line lies within some mm of the edge
 */
export function fineEdge(looked: Looked, band: Band, reach = REACH): FineEdge[] {
  const n = Math.round(reach / GRAIN)
  const outs = Array.from({ length: 2 * n + 1 }, (_, k) => (k - n) * GRAIN)
  const margin = Math.round(BESIDE / GRAIN)
  const offsets = outs.length
  const values = new Float32Array(band.points.length * offsets)
  const across = band.points.map((_, i) => {
    const column = Array.from({ length: offsets + 2 * margin }, (_, k) =>
      colourOf(looked, outFrom(band, i, (k - n - margin) * GRAIN)),
    )
    return steepness(column, margin, offsets)
  })
  across.forEach((column, i) =>
    values.set(
      column.map((value) => -value),
      i * offsets,
    ),
  )
  // What stands out is weighed against what usually does along this line.
  const usual = median(across.map((column) => Math.max(...column))) || 1
  for (let i = 0; i < values.length; i++) values[i]! /= usual
  const path = bestPath({ columns: band.points.length, offsets, values }, 0.012, 3, band.closed)
  return path.map((k, i) => {
    const column = across[i]!
    const [low, here, high] = [column[k - 1] ?? column[k]!, column[k]!, column[k + 1] ?? column[k]!]
    const bow = low - 2 * here + high
    const between = bow < 0 ? Math.min(0.5, Math.max(-0.5, (low - high) / (2 * bow))) : 0
    return { out: outs[k]! + between * GRAIN, clear: Math.min(1, here / usual) }
  })
}

/** At each offset how far the mean colours of both sides lie apart, those near the edge counted most. */
function steepness(column: readonly Lab[], margin: number, offsets: number): number[] {
  // The slope of a Gauss bell: an edge answers most where its middle is.
  const wide = margin / 2.6
  const weights = Array.from(
    { length: margin },
    (_, j) => (j + 0.5) * Math.exp(-((j + 0.5) ** 2) / (2 * wide * wide)),
  )
  const sum = weights.reduce((a, b) => a + b)
  return Array.from({ length: offsets }, (_, k) => {
    const at = k + margin
    const off = [0, 0, 0]
    for (let j = 0; j < margin; j++) {
      const [inner, outer] = [column[at - j - 1]!, column[Math.min(column.length - 1, at + j + 1)]!]
      for (let c = 0; c < 3; c++) off[c]! += (weights[j]! / sum) * (outer[c]! - inner[c]!)
    }
    return Math.hypot(off[0]!, off[1]!, off[2]!)
  })
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}
