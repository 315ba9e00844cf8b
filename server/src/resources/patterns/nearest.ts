import {
  differencesByRegion,
  footOutline,
  nearestShapes,
  readFoot,
  shapeOf,
  ProblemError,
  type FootInput,
  type RegionDifference,
  type StoredPattern,
} from '@crescent/core'
import type { Practice } from '../../practice'

/** A pattern whose foot is like another, and by how much that differs where. */
export interface NearPattern {
  pattern: StoredPattern
  horseName: string
  distance: number
  mirrored: boolean
  byRegion: Omit<RegionDifference, 'band'>[]
}

/**
 * The patterns of all horses whose feet are most like a foot, mirrored too, the nearest first.
 *
 * @throws ProblemError where the foot cannot be read
 */
export function nearestPatterns(practice: Practice, input: FootInput, limit: number): NearPattern[] {
  const read = readFoot(input)
  if (!read.ok) throw new ProblemError(read.problems)
  const outline = footOutline(read.value.foot)
  const { ids, shapes } = practice.patterns.shapes()
  return nearestShapes(shapeOf(outline.track.points), shapes, limit).flatMap(({ at, distance, mirrored }) => {
    const pattern = practice.patterns.get(ids[at]!)
    if (!pattern) return []
    const byRegion = differencesByRegion(outline, pattern.result.outline.foot, mirrored).map(
      ({ region, half, mean, most }) => ({ region, half, mean, most }),
    )
    const horseName = practice.horses.get(pattern.horseId)?.name ?? ''
    return [{ pattern, horseName, distance, mirrored, byRegion }]
  })
}
