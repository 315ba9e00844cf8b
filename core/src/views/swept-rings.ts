import { along, subtract, turnRight, unit, type Vec } from '../geometry/vector'
import type { Swept } from '../modifications/swept'
import { barForm, sectionOutline } from '../shoe/section-form'
import type { Point } from './point'

/** Sides of a piece that is round. */
const ROUND = 48

/** The rings of corners through which a section carried along its line is lofted. */
export function sweptRings(swept: Swept): Point[][] {
  const { line } = swept
  return line.map((point, i) => {
    const before = line[Math.max(0, i - 1)]!
    const after = line[Math.min(line.length - 1, i + 1)]!
    const right = turnRight(unit(subtract(after, before)))
    return ringOf(swept, i).map(([away, z]): Point => [...along(point, right, away), z])
  })
}

/** A section square to the line at one of its points: to the right of it, and up from the ground. */
function ringOf(swept: Swept, i: number): Vec[] {
  switch (swept.as) {
    case 'bar': {
      const form = barForm({ ...swept.section, thickness: swept.heights[i]! })
      return sectionOutline(form).map(([u, z]) => [u - form.width / 2, z])
    }
    case 'rod':
      return turned(ROUND, 2 * Math.PI).map(([x, z]) => [
        (x * swept.across) / 2,
        swept.middle + (z * swept.across) / 2,
      ])
    case 'half-round':
      return [...turned(ROUND / 2, Math.PI), [-1, 0] as const].map(([z, x]) => [
        x * swept.side * swept.height,
        ((1 + z) * swept.width) / 2,
      ])
  }
}

/** So many places of a circle's rim, from its right on. */
const turned = (count: number, angle: number): Vec[] =>
  Array.from({ length: count }, (_, i): Vec => {
    const at = (angle * i) / count
    return [Math.cos(at), Math.sin(at)]
  })
