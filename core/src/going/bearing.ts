import { planeArea } from '../geometry/plane-area'
import { inside, regionOf } from '../geometry/inside'
import { along, turnRight, type Vec } from '../geometry/vector'
import type { SectionCut } from '../modifications/build'
import type { ShoePart } from '../modifications/modification'
import type { Plan } from '../plan/plan'
import type { BearingPart } from '../terms/goings'
import type { Element } from './footing'
import { groundFaceAt } from './ground-face'
import { FINE, plateElements } from './plate-elements'

/** What may bear of a made shoe, with the part it belongs to. */
export interface Bearing extends Element {
  part: BearingPart
}

/** The toe is so much of either branch. */
const TOE_TO = 0.3

/** Packing under frog or sole, level with the ground face of the shoe: what it covers and how soft it is. */
export interface Packing {
  covers: 'frog' | 'sole'
  /** N/mm3: what a mm2 of it gives way to for a mm. */
  stiffness: number
}

/**
 * All that can meet the ground of a made shoe, in small pieces: the branches by their sections as they were forged and
 * rasped, and every bar, plate, pad, rail and stud at its own height. What lies hidden behind another piece is left out.
 *
 * @param fine how large a piece may be, mm
 */
export function bearingOf(plan: Plan, packing?: Packing, fine = FINE): Bearing[] {
  const { cuts, parts, section, outline } = plan
  const layers: Layer[] = [
    { edge: outline.body, lowest: 0, pieces: ofBranches(cuts, fine) },
    ...parts.flatMap((part) => ofPart(part, section.thickness, fine)),
    ...(packing ? [ofPacking(plan, packing, fine)] : []),
  ]
  const regions = layers.map(({ edge }) => regionOf(edge))
  return layers.flatMap(({ pieces, lowest }, i) =>
    pieces.filter(
      // Of two at one height the first is the steel, and what comes later lies beside it.
      ({ at, area }) =>
        area === 0 ||
        !layers.some(
          (other, k) =>
            k !== i &&
            (other.lowest < lowest || (other.lowest === lowest && k < i)) &&
            inside(regions[k]!, at),
        ),
    ),
  )
}

/** A piece of the shoe: its outline, its underside, and what may bear of it. */
interface Layer {
  edge: readonly Vec[]
  /** mm above the ground face. */
  lowest: number
  pieces: Bearing[]
}

/** What is packed: the frog, or all within the inner rim from its point back. */
function ofPacking({ landmarks, outline }: Plan, { covers, stiffness }: Packing, fine: number): Layer {
  const [, apexY] = landmarks.frogApex
  const edge =
    covers === 'frog' ? landmarks.frog : outline.inner.map(([x, y]): Vec => [x, Math.min(y, apexY)])
  const pieces = plateElements(edge, () => 0, planeArea(edge).area, fine)
    // What is soft does not cut in.
    .filter(({ area }) => area > 0)
    .map((one) => ({ ...one, soft: stiffness, part: 'packing' as const }))
  return { edge, lowest: 0, pieces }
}

/** Columns across the web, at least. */
const LEAST_COLUMNS = 6

function ofBranches(cuts: readonly SectionCut[], fine: number): Bearing[] {
  const widest = Math.max(...cuts.map(({ form }) => form.width))
  const columns = Math.max(LEAST_COLUMNS, Math.ceil(widest / fine))
  const found: Bearing[] = []
  for (let i = 0; i + 1 < cuts.length; i++) {
    const [a, b] = [cuts[i]!, cuts[i + 1]!]
    const part = partAt(a, b)
    const pieces = Math.max(1, Math.ceil(distanceAlong(a, b) / fine))
    for (let piece = 0; piece < pieces; piece++) {
      const [from, to] = [piece / pieces, (piece + 1) / pieces]
      for (let column = 0; column < columns; column++) {
        const [near, far] = [column / columns, (column + 1) / columns]
        const corners = [
          between(a, b, from, near),
          between(a, b, to, near),
          between(a, b, to, far),
          between(a, b, from, far),
        ]
        const area = signedArea(corners)
        // Where the web turns about its own inner rim, pieces fold over each other: no steel lies there twice.
        if (area <= 0) continue
        const middle = (near + far) / 2
        found.push({
          at: between(a, b, (from + to) / 2, middle),
          z: mean(groundFaceAt(a.form, middle * a.form.width), groundFaceAt(b.form, middle * b.form.width)),
          area,
          edge: 0,
          part,
        })
      }
      for (const rim of [0, 1]) {
        const [start, end] = [between(a, b, from, rim), between(a, b, to, rim)]
        found.push({
          at: between(a, b, (from + to) / 2, rim),
          z: mean(groundFaceAt(a.form, rim * a.form.width), groundFaceAt(b.form, rim * b.form.width)),
          area: 0,
          edge: Math.hypot(end[0] - start[0], end[1] - start[1]),
          part,
        })
      }
    }
  }
  return found
}

const mean = (a: number, b: number): number => (a + b) / 2

const distanceAlong = (a: SectionCut, b: SectionCut): number => Math.abs(b.place.s - a.place.s)

/** A place between two sections: so far from the one to the other, so far in across the web. */
function between(a: SectionCut, b: SectionCut, share: number, across: number): Vec {
  const [p, q] = [acrossAt(a, across), acrossAt(b, across)]
  return [p[0] + (q[0] - p[0]) * share, p[1] + (q[1] - p[1]) * share]
}

const acrossAt = ({ place, form }: SectionCut, across: number): Vec =>
  along(place.point, turnRight(place.tangent), -across * form.width)

/** Plus where the corners run as those of a web that lies flat: along the rim, then in. */
function signedArea(corners: readonly Vec[]): number {
  const doubled = corners.reduce((sum, [x, y], i) => {
    const next = corners[(i + 1) % corners.length]!
    return sum + x * next[1] - next[0] * y
  }, 0)
  return doubled / 2
}

/** The part a stretch of the branches belongs to. */
function partAt(a: SectionCut, b: SectionCut): BearingPart {
  if (Math.min(a.place.share, b.place.share) < TOE_TO) return 'toe'
  return a.place.branch === 'lateral' ? 'lateralBranch' : 'medialBranch'
}

/** A piece beside the branches, where it can meet the ground. */
function ofPart(part: ShoePart, thickness: number, fine: number): Layer[] {
  const kind = kindOf(part)
  if (!kind || part.edge.length < 3) return []
  const [low, high] = part.between ?? [0, thickness]
  const { taper, edge } = part
  const zAt = (y: number): number =>
    taper ? high + (low - high) * Math.min(1, Math.max(0, (taper[0] - y) / (taper[0] - taper[1]))) : low
  const pieces = plateElements(edge, zAt, planeArea(edge).area, fine)
  return [{ edge, lowest: low, pieces: pieces.map((one) => ({ ...one, part: kind })) }]
}

/** What a piece bears as; nothing where it never meets the ground. */
function kindOf({ layer, face, spare, between, template }: ShoePart): BearingPart | undefined {
  if (spare || face === 'foot') return undefined
  if (layer === 'bar') return 'bar'
  if (layer === 'plate') return template?.kind === 'frog' ? 'frogPlate' : 'plate'
  if (layer === 'pad') return 'pad'
  // Hard metal is laid on where it is dressed; what is dressed away is in the sections.
  if (between && between[0] < 0 && face === 'ground') return 'grip'
  return undefined
}
