import { footFigure } from '../foot/figures'
import { landmarks, type Landmarks } from '../foot/landmarks'
import { readFoot, type Foot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import type { Vec } from '../geometry/vector'
import type { Animal, FootInput, Side } from '../records/foot'
import { placeAreas, type PlaceArea } from './place-areas'

/** A foot drawn to be touched: its lines and its places. */
export interface FootMap {
  foot: Foot
  outline: readonly Vec[]
  landmarks: Landmarks
  areas: PlaceArea[]
}

/** The map of the first of these feet that can be drawn; undefined where none can. */
export function footMap(...feet: (FootInput | undefined)[]): FootMap | undefined {
  for (const input of feet) {
    const read = input && readFoot(input)
    if (!read?.ok) continue
    const { foot } = read.value
    const outline = footOutline(foot)
    const marks = landmarks(foot, outline)
    return { foot, outline: outline.track.points, landmarks: marks, areas: placeAreas(foot, outline, marks) }
  }
  return undefined
}

/** A foot of the usual size for such an animal: stands in on the drawing until this one is measured. */
export function usualFoot(side: Side, animal: Animal): FootInput {
  const middle = (key: Parameters<typeof footFigure>[0]): number => {
    const [low, high] = footFigure(key).usual![animal]
    return (low + high) / 2
  }
  return {
    side,
    animal,
    width: middle('width'),
    length: middle('length'),
    heelWidth: middle('heelWidth'),
    toeAngle: middle('toeAngle'),
    wallThickness: middle('wallThickness'),
  }
}
