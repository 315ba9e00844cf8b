import type { Vec } from '../geometry/vector'
import type { Section } from '../records/shoe'
import { CONCAVE } from './section'
import type { SectionShape } from '../terms/sections'

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
  crease?: { from: number; width: number; depth: number } | undefined
  /**
   * Rising off the ground from so far in from the outer rim, toward it, by so much for a millimetre: the whole section
   * bent up, or its ground face taken away.
   */
  bend?: { from: number; slope: number; of: 'section' | 'ground' } | undefined
  /** Of its height, what is a piece set on the bar, as wide as the web: a half-round bar keeps its round below it. */
  setOn?: number | undefined
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
    // Named from the start, so that all sections are read alike: this is asked at every place of every plan.
    crease: undefined,
    bend: undefined,
    setOn: undefined,
  }
}

/** The floor of a crease as a share of its mouth. */
const CREASE_FLOOR = 0.4

/** Area of a section, mm2; a half-round bar is half an ellipse and keeps its edges. */
export function formArea(form: SectionForm): number {
  const { shape, width, thickness, crease } = form
  if (shape === 'half-round') {
    const { setOn = 0 } = form
    return (Math.PI / 4) * width * (thickness - setOn) + width * setOn
  }
  const { outerGround, innerGround, outerFoot, innerFoot } = form
  const gone =
    (outerGround[0] * outerGround[1] +
      innerGround[0] * innerGround[1] +
      outerFoot[0] * outerFoot[1] +
      innerFoot[0] * innerFoot[1]) /
    2
  const groove = crease ? grooveArea(crease) : 0
  return width * thickness - gone - groove - thinned(form)
}

/**
 * How far in from the outer rim the middle of a section lies, mm: what is missing at its edges lies aside of it.
 *
 * @param area of the section, mm2, where it is known already
 */
export function formCentroid(form: SectionForm, area = formArea(form)): number {
  const { shape, width, thickness, crease, bend } = form
  if (shape === 'half-round') return width / 2
  // Moments of what is missing, about the outer rim: spelt out, as this runs at every place of every plan.
  const edges =
    (edgeMoment(form.outerGround, 0) +
      edgeMoment(form.outerFoot, 0) +
      edgeMoment(form.innerGround, width) +
      edgeMoment(form.innerFoot, width)) /
    2
  const groove = crease ? grooveArea(crease) * crease.from : 0
  const moment = (thickness * width ** 2) / 2 - edges - groove - thinnedMoment(bend, width)
  return moment / area
}

/** Twice the moment of a corner that is missing, about the outer rim, mm3; 0 for the outer ones, else the web. */
const edgeMoment = ([across, up]: Bevel, web: number): number =>
  across * up * (web === 0 ? across / 3 : web - across / 3)

/** What a crease takes away, mm2. */
const grooveArea = ({ width, depth }: NonNullable<SectionForm['crease']>): number =>
  (width * (1 + CREASE_FLOOR) * depth) / 2

/** The moment of what a ground face that rises toward the outer rim has lost, about that rim, mm3. */
function thinnedMoment(bend: SectionForm['bend'], width: number): number {
  if (bend?.of !== 'ground') return 0
  const beyond = Math.max(0, bend.from - width)
  return (bend.slope * (bend.from ** 3 / 3 - beyond ** 2 * (width + beyond / 3))) / 2
}

/** What a ground face that rises toward the outer rim has lost, mm2. */
function thinned({ bend, width }: SectionForm): number {
  if (bend?.of !== 'ground') return 0
  return (bend.slope * (bend.from ** 2 - Math.max(0, bend.from - width) ** 2)) / 2
}

/** Area of the bar's section in mm2; of a half-round bar half an ellipse. */
export const sectionArea = (section: Section): number => formArea(barForm(section))

/** How far the section's centroid lies from its outer edge in mm: a bent bar's volume runs along its path. */
export const centroidFromOuter = (section: Section): number => formCentroid(barForm(section))

/** How high a place of the section is bent up off the ground, mm; u in from the outer rim. */
export const liftAt = ({ bend }: Pick<SectionForm, 'bend'>, u: number): number =>
  bend ? Math.max(0, bend.from - u) * bend.slope : 0

/** Points on the round of a half-round bar. */
const ROUND_STEPS = 28

/**
 * The section as a closed outline: u in from the outer rim, z up from the ground, mm. Sections of one bar have equally
 * many points in the same order, so that the shoe can be lofted from one to the next.
 */
export function sectionOutline(form: SectionForm): Vec[] {
  const { ground, foot } = form.shape === 'half-round' ? roundFaces(form) : flatFaces(form)
  const lifted = ([u, z]: Vec): Vec => [u, z + liftAt(form, u)]
  // A ground face that is taken away leaves the foot surface where it is.
  return [...ground.map(lifted), ...(form.bend?.of === 'ground' ? foot : foot.map(lifted))]
}

/** The two faces of a section before it is bent, each as it is walked: the ground inward, the foot surface outward. */
interface Faces {
  ground: Vec[]
  foot: Vec[]
}

function roundFaces({ width, thickness, bend, setOn = 0 }: SectionForm): Faces {
  const ground = Array.from({ length: ROUND_STEPS + 1 }, (_, i): Vec => {
    const angle = Math.PI * (1 - i / ROUND_STEPS)
    return [(width / 2) * (1 + Math.cos(angle)), (thickness - setOn) * (1 - Math.sin(angle))]
  })
  const turn = Math.min(width, bend?.from ?? width / 2)
  const foot = [width, turn, 0].map((u): Vec => [u, thickness])
  return { ground, foot }
}

function flatFaces({ width, thickness, ...form }: SectionForm): Faces {
  const { outerGround, innerGround, outerFoot, innerFoot, crease } = form
  // The line of the bend is a corner of every stretch that it crosses.
  const turn = form.bend?.from ?? width / 2
  const between = (low: number, high: number) => Math.min(Math.max(low, high), Math.max(low, turn))
  const from = crease?.from ?? between(outerGround[0], width - innerGround[0])
  const mouth = (crease?.width ?? 0) / 2
  const depth = crease?.depth ?? 0
  /** On the bevel of an edge that lies so far from the outer rim, rising away from it by the bevel. */
  const onOuter = ([across, up]: Bevel, level: number, way: 1 | -1): Vec => {
    const u = between(0, across)
    return [u, level + way * (across > 0 ? up * (1 - u / across) : up)]
  }
  const onInner = ([across, up]: Bevel, level: number, way: 1 | -1): Vec => {
    const u = between(width - across, width)
    return [u, level + way * (across > 0 ? up * (1 - (width - u) / across) : up)]
  }
  return {
    ground: [
      [0, outerGround[1]],
      onOuter(outerGround, 0, 1),
      [outerGround[0], 0],
      [between(outerGround[0], from - mouth), 0],
      [from - mouth, 0],
      [from - mouth * CREASE_FLOOR, depth],
      [from + mouth * CREASE_FLOOR, depth],
      [from + mouth, 0],
      [between(from + mouth, width - innerGround[0]), 0],
      [width - innerGround[0], 0],
      onInner(innerGround, 0, 1),
      [width, innerGround[1]],
    ],
    foot: [
      [width, thickness - innerFoot[1]],
      onInner(innerFoot, thickness, -1),
      [width - innerFoot[0], thickness],
      [between(outerFoot[0], width - innerFoot[0]), thickness],
      [outerFoot[0], thickness],
      onOuter(outerFoot, thickness, -1),
      [0, thickness - outerFoot[1]],
    ],
  }
}
