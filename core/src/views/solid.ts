import earcut from 'earcut'
import { cotangent, radians } from '../units/angle'
import { turnRight, type Vec } from '../geometry/vector'
import type { Plan } from '../plan/plan'
import type { SectionCut } from '../modifications/build'
import type { ShoePart } from '../modifications/modification'
import { CLIP_TAPER } from '../modifications/clip'
import { liftAt, sectionOutline } from '../shoe/section-form'
import { sweptRings } from './swept-rings'
import type { Point } from './point'

/** A closed surface of triangles that face outward, three indices of corners each. */
export interface Mesh {
  corners: Point[]
  triangles: number[]
}

/** A piece of the shoe as a solid. */
export interface SolidPiece {
  label: string
  layer: ShoePart['layer'] | 'shoe'
  mesh: Mesh
}

/** The shoe as solids: the bar of its branches and every piece beside it. */
export function solidOf({ cuts, parts }: Pick<Plan, 'cuts' | 'parts'>): SolidPiece[] {
  const height = cuts[0]?.form.thickness ?? 0
  return [
    { label: 'Shoe', layer: 'shoe', mesh: barSolid(cuts) },
    ...parts.flatMap((part): SolidPiece[] => {
      // What is only dressed is seen on the bar itself.
      if (part.layer === 'dressed' && part.volume === 0) return []
      if (part.edge.length < 3) return []
      const mesh = part.tongue
        ? tongueSolid(part, cuts)
        : part.swept
          ? lofted(sweptRings(part.swept))
          : prism(part.edge, part.between ?? [0, height], part.taper, part.pierced)
      return [{ label: part.label, layer: part.layer, mesh }]
    }),
  ]
}

/** The bar lofted from section to section, closed at both heels. */
export function barSolid(cuts: readonly SectionCut[]): Mesh {
  const rings = cuts.map(({ place, form }) => {
    const out = turnRight(place.tangent)
    return sectionOutline(form).map(([u, z]): Point => [
      place.point[0] - out[0] * u,
      place.point[1] - out[1] * u,
      z,
    ])
  })
  return lofted(rings)
}

/** A closed surface through rings of equally many corners, with a lid at either end. */
function lofted(rings: readonly (readonly Point[])[]): Mesh {
  const around = rings[0]!.length
  const triangles: number[] = []
  for (let i = 0; i + 1 < rings.length; i++) {
    for (let k = 0; k < around; k++) {
      const next = (k + 1) % around
      const a = i * around + k
      const b = i * around + next
      const c = (i + 1) * around + next
      const d = (i + 1) * around + k
      triangles.push(a, d, b, b, d, c)
    }
  }
  const last = (rings.length - 1) * around
  for (let k = 1; k + 1 < around; k++) {
    triangles.push(0, k, k + 1)
    triangles.push(last, last + k + 1, last + k)
  }
  const mesh = { corners: rings.flat(), triangles }
  return signedVolume(mesh) < 0 ? turnedInsideOut(mesh) : mesh
}

/** An upright piece over a closed outline; tapered ones come down to their full depth only toward the back. */
function prism(
  outline: readonly Vec[],
  [low, high]: readonly [number, number],
  taper?: readonly [number, number],
  pierced: readonly (readonly Vec[])[] = [],
): Mesh {
  const under = (y: number): number => {
    if (!taper) return low
    const share = Math.min(1, Math.max(0, (taper[0] - y) / (taper[0] - taper[1])))
    return high + (low - high) * share
  }
  const lines = [outline, ...pierced]
  const all = lines.flat()
  const count = all.length
  const corners: Point[] = [
    ...all.map(([x, y]): Point => [x, y, under(y)]),
    ...all.map(([x, y]): Point => [x, y, high]),
  ]
  const starts = lines.map((_, i) => lines.slice(0, i).reduce((sum, line) => sum + line.length, 0))
  const lid = earcut(
    all.flatMap(([x, y]) => [x, y]),
    starts.slice(1),
  )
  const triangles: number[] = []
  for (let i = 0; i < lid.length; i += 3) {
    const [a, b, c] = [lid[i]!, lid[i + 1]!, lid[i + 2]!]
    triangles.push(a, c, b, a + count, b + count, c + count)
  }
  lines.forEach((line, l) => {
    const from = starts[l]!
    // Steel lies to the left of the outline and to the right of what pierces it.
    const onward = doubledArea(line) > 0 === (l === 0)
    for (let i = 0; i < line.length; i++) {
      const [here, next] = [from + i, from + ((i + 1) % line.length)]
      triangles.push(
        ...(onward
          ? [here, next, next + count, here, next + count, here + count]
          : [next, here, here + count, next, here + count, next + count]),
      )
    }
  })
  // The lids come out of the triangulation facing as the outline runs.
  const mesh = { corners, triangles }
  return signedVolume(mesh) < 0 ? turnedInsideOut(mesh) : mesh
}

const doubledArea = (edge: readonly Vec[]): number =>
  edge.reduce((sum, [x, y], i) => {
    const [nx, ny] = edge[(i + 1) % edge.length]!
    return sum + x * ny - nx * y
  }, 0)

/** Slices a clip is built of. */
const SLICES = 24

/** A clip is drawn out of the bar: its root reaches so far into it, down and in, mm. */
const ROOT = { down: 0.8, in: 1.5 }
/** Pieces along half of a clip's width: it follows the rim. */
const PIECES = 6

/**
 * A clip: half an ellipse up the wall along the rim, nothing at its tip, leaning with the wall, with a root in the bar. What of
 * the root lies outside the bar is taken off its thickness: it is no heavier for it.
 */
function tongueSolid({ tongue }: ShoePart, cuts: readonly SectionCut[]): Mesh {
  const { width, height, thickness, lean, station } = tongue!
  const at = nearestCut(cuts, station)
  const { point, tangent } = at.place
  const out = turnRight(tangent)
  const foot = at.form.thickness + (at.form.bend?.of === 'section' ? liftAt(at.form, 0) : 0)
  const root = Math.max(0, foot - topAt(at.form, ROOT.in)) + ROOT.down
  const [rise, run] = [Math.sin(radians(lean)), cotangent(lean) * Math.sin(radians(lean))]
  const own = height * CLIP_TAPER
  // Its thickness is measured square to the wall it leans on.
  const thick = ((thickness / rise) * own) / (own + root / (2 * rise))
  const bow = bowOf(cuts, at)
  /** A ring at a height: how wide, from where to where out of the rim. */
  const ring = (half: number, z: number, from: number, to: number): Point[] => {
    const side = (away: number) =>
      Array.from({ length: 2 * PIECES + 1 }, (_, k): Point => {
        const along = half * (k / PIECES - 1)
        const off = away - (bow * along * along) / 2
        return [point[0] + tangent[0] * along + out[0] * off, point[1] + tangent[1] * along + out[1] * off, z]
      })
    return [...side(from), ...side(to).reverse()]
  }
  const blade = Array.from({ length: SLICES + 1 }, (_, i): Point[] => {
    const v = (i / SLICES) * 0.9995
    const inward = v * height * run
    return ring(
      (width / 2) * Math.sqrt(1 - v * v),
      foot + v * height * rise,
      -inward,
      thick * (1 - v) - inward,
    )
  })
  return lofted([ring(width / 2, foot - root, -ROOT.in, -0.05), ...blade])
}

/** How far up the bar reaches so far in from its outer rim, mm. */
function topAt(form: SectionCut['form'], inward: number): number {
  const line = sectionOutline(form)
  const heights = line.flatMap(([u, z], i): number[] => {
    const [nu, nz] = line[(i + 1) % line.length]!
    const share = (inward - u) / (nu - u)
    return share >= 0 && share <= 1 ? [z + (nz - z) * share] : []
  })
  return Math.max(...heights)
}

/** How much the rim turns for each mm of it about a section, radians; plus where it turns away from its outside. */
function bowOf(cuts: readonly SectionCut[], at: SectionCut): number {
  const i = cuts.indexOf(at)
  const [before, after] = [cuts[Math.max(0, i - 1)]!.place, cuts[Math.min(cuts.length - 1, i + 1)]!.place]
  const [a, b] = [before.tangent, after.tangent]
  const long = Math.hypot(after.point[0] - before.point[0], after.point[1] - before.point[1])
  return long > 0 ? Math.atan2(a[0] * b[1] - a[1] * b[0], a[0] * b[0] + a[1] * b[1]) / long : 0
}

/** The section nearest to a station of the outer rim. */
function nearestCut(cuts: readonly SectionCut[], station: number): SectionCut {
  const stationOf = ({ place }: SectionCut) =>
    place.branch === 'lateral' ? place.fromHeel : cuts[0]!.place.fromToe + place.fromToe
  return cuts.reduce((near, one) =>
    Math.abs(stationOf(one) - station) < Math.abs(stationOf(near) - station) ? one : near,
  )
}

const turnedInsideOut = ({ corners, triangles }: Mesh): Mesh => ({
  corners,
  triangles: triangles.map((_, i) => triangles[i - (i % 3) + [0, 2, 1][i % 3]!]!),
})

/** Volume inside a closed surface, mm3: the sum of the tetrahedra from the origin to its triangles; minus where it is inside out. */
export function signedVolume({ corners, triangles }: Mesh): number {
  let six = 0
  for (let i = 0; i < triangles.length; i += 3) {
    const [a, b, c] = [corners[triangles[i]!]!, corners[triangles[i + 1]!]!, corners[triangles[i + 2]!]!]
    six +=
      a[0] * (b[1] * c[2] - b[2] * c[1]) -
      a[1] * (b[0] * c[2] - b[2] * c[0]) +
      a[2] * (b[0] * c[1] - b[1] * c[0])
  }
  return six / 6
}
