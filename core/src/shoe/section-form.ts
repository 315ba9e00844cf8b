import type { Vec } from '../geometry/vector'
import type { Section, SectionShape } from '../records/shoe'
import { CONCAVE } from './section'

/** What is missing at an edge of the bar: across the web and up its height, mm. */
export type Bevel = readonly [across: number, up: number]

/** The bar's section at one place of the shoe: its web and height, its edges, the crease in its ground face. */
export interface SectionForm {
  shape: SectionShape
  width: number
  thickness: number
  outerGround: Bevel
  innerGround: Bevel
  outerFoot: Bevel
  innerFoot: Bevel
  /** A groove in the ground face: from the outer rim to its middle, its width at the face and its depth. */
  crease?: { from: number; width: number; depth: number }
  /** How far the whole section is bent up off the ground. */
  lift: number
}

const SHARP: Bevel = [0, 0]

/** The section of the bar as it is bought. */
export function barForm({ shape, width, thickness }: Section): SectionForm {
  const innerGround: Bevel =
    shape === 'concave' ? [width * (1 - CONCAVE.groundFace), thickness * (1 - CONCAVE.innerEdge)] : SHARP
  return {
    shape,
    width,
    thickness,
    outerGround: SHARP,
    innerGround,
    outerFoot: SHARP,
    innerFoot: SHARP,
    lift: 0,
  }
}

/** The floor of a crease as a share of its mouth. */
const CREASE_FLOOR = 0.4

/** Area of a section, mm2; a half-round bar is half an ellipse and keeps its edges. */
export function formArea(form: SectionForm): number {
  const { shape, width, thickness, crease } = form
  if (shape === 'half-round') return (Math.PI / 4) * width * thickness
  const { outerGround, innerGround, outerFoot, innerFoot } = form
  const gone = [outerGround, innerGround, outerFoot, innerFoot].reduce((sum, [a, b]) => sum + a * b, 0) / 2
  const groove = crease ? (crease.width * (1 + CREASE_FLOOR) * crease.depth) / 2 : 0
  return width * thickness - gone - groove
}

/** Points on the round of a half-round bar. */
const ROUND_STEPS = 28

/**
 * The section as a closed outline: u in from the outer rim, z up from the ground, mm. Sections of one bar have equally
 * many points in the same order, so that the shoe can be lofted from one to the next.
 */
export function sectionOutline(form: SectionForm): Vec[] {
  const { shape, width, thickness, lift } = form
  if (shape === 'half-round') {
    return Array.from({ length: ROUND_STEPS + 1 }, (_, i): Vec => {
      const angle = Math.PI * (1 - i / ROUND_STEPS)
      return [(width / 2) * (1 + Math.cos(angle)), lift + thickness * (1 - Math.sin(angle))]
    })
  }
  const { outerGround, innerGround, outerFoot, innerFoot, crease } = form
  const from = crease?.from ?? width / 2
  const mouth = (crease?.width ?? 0) / 2
  const depth = crease?.depth ?? 0
  const corners: Vec[] = [
    [0, outerGround[1]],
    [outerGround[0], 0],
    [from - mouth, 0],
    [from - mouth * CREASE_FLOOR, depth],
    [from + mouth * CREASE_FLOOR, depth],
    [from + mouth, 0],
    [width - innerGround[0], 0],
    [width, innerGround[1]],
    [width, thickness - innerFoot[1]],
    [width - innerFoot[0], thickness],
    [outerFoot[0], thickness],
    [0, thickness - outerFoot[1]],
  ]
  return corners.map(([u, z]): Vec => [u, z + lift])
}

/** A bevel no larger than these shares of the section allow. */
export const bevelWithin = (
  { width, thickness }: SectionForm,
  [across, up]: Bevel,
  most: readonly [number, number] = [0.9, 0.8],
): Bevel => [Math.min(across, width * most[0]), Math.min(up, thickness * most[1])]
