import { nearestStation, placeAt, trackLength, type Track } from '../../geometry/track'
import type { Vec } from '../../geometry/vector'
import { HALVES, type Half } from '../../terms/half'

/** Sawn off by more than this it is a line to saw along and not a stroke of the rasp, mm (common practice: a thirty-second of an inch). */
export const SAWN = 0.8

/** Where the saw goes: along the outer rim, and across each heel that is cut. */
export const sawLines = (
  { rim, taken }: { rim: Track; taken: readonly number[] },
  heelToCut: Readonly<Record<Half, number>>,
  cut: Track,
  inner: Track,
): Vec[][] => [
  ...alongRim(rim, taken, heelToCut),
  ...HALVES.filter((branch) => heelToCut[branch] > 0).map((branch) => acrossHeel(cut, inner, branch)),
]

/** The stretches of the trimmed rim where something was taken off, as far as the heels are left on. */
function alongRim(rim: Track, taken: readonly number[], heelToCut: Readonly<Record<Half, number>>): Vec[][] {
  const lines: Vec[][] = []
  let line: Vec[] = []
  const end = trackLength(rim) - heelToCut.medial
  rim.points.forEach((point, i) => {
    const station = rim.stations[i]!
    if (taken[i]! > SAWN && station >= heelToCut.lateral && station <= end) line.push(point)
    else if (line.length > 0) {
      lines.push(line)
      line = []
    }
  })
  return [...lines, line].filter(({ length }) => length > 1)
}

/** The saw cut across a heel, square to the rim. */
function acrossHeel(cut: Track, inner: Track, branch: Half): Vec[] {
  const end = placeAt(cut, branch === 'lateral' ? 0 : trackLength(cut)).point
  return [end, placeAt(inner, nearestStation(inner, end)).point]
}
