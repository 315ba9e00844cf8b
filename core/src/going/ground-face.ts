import { liftAt, type SectionForm } from '../shoe/section-form'

/**
 * Height of a section's ground face above the ground it would stand on, mm: bevels, the crease and what is bent up lie
 * higher, and come to bear only as the shoe sinks.
 *
 * @param u in from the outer rim, mm
 */
export function groundFaceAt(form: SectionForm, u: number): number {
  const { shape, width, thickness, crease } = form
  if (shape === 'half-round') {
    const x = Math.min(1, Math.max(-1, (2 * u) / width - 1))
    return thickness * (1 - Math.sqrt(1 - x * x)) + liftAt(form, u)
  }
  const edges = Math.max(bevelAt(form.outerGround, u), bevelAt(form.innerGround, width - u))
  const groove = crease ? grooveAt(crease, u) : 0
  return Math.max(edges, groove) + liftAt(form, u)
}

const bevelAt = ([across, up]: readonly [number, number], inward: number): number =>
  inward < across ? up * (1 - inward / across) : 0

/** A groove narrows to its floor; what lies in it is as deep as its floor for all that bears. */
const grooveAt = ({ from, width, depth }: NonNullable<SectionForm['crease']>, u: number): number =>
  Math.abs(u - from) < width / 2 ? depth : 0
