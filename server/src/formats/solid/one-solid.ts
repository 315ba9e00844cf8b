import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d'
import type { Mesh, SolidPiece } from '@crescent/core/solid'
import { Refused } from '../../http/door'
import { withoutFlatFacets } from './flat-facets'
import type { Bore } from '@crescent/core/formats'

/** The kernel of solids: loaded when a solid is first asked for. */
let kernel: Promise<ManifoldToplevel> | undefined
const theKernel = (): Promise<ManifoldToplevel> =>
  (kernel ??= Module().then((loaded) => {
    loaded.setup()
    return loaded
  }))

/** A hole is bored from so far below the ground to so far above the highest, mm. */
const BEYOND = 5

/** Corners nearer to an edge than this are none, mm: what they part is a facet without area. */
const FINE = 0.01

/** Sides of a bored hole. */
const SIDES = 32

/** A shoe that could not be made one closed solid. */
export class NotSolid extends Refused {}

/** Less than this is no piece of a shoe but what rounding leaves where two of them meet, mm3. */
const CRUMB = 0.5

/** A weld reaches so far into what a piece is welded to, mm: along the piece to both sides, forward and back, or both. */
const WELD = 0.5
const WAYS = [
  [1, 0],
  [0, 1],
  [1, 1],
] as const

/** A solid without what is no piece of a shoe, and of how many bodies it is. */
function withoutCrumbs(
  Solid: ManifoldToplevel['Manifold'],
  solid: Manifold,
  own: (solid: Manifold) => Manifold,
): { count: number; whole: Manifold } {
  const real = solid
    .decompose()
    .map(own)
    .filter((body) => Math.abs(body.volume()) > CRUMB)
  return { count: real.length, whole: real.length === 1 ? real[0]! : own(Solid.union(real)) }
}

/**
 * Pieces as one body. Where two only lie against each other the later one is drawn on into the other by a weld: what it is drawn
 * on by lies within the other, and takes up no more room.
 *
 * @param own keeps what is made, to be let go of at the end
 */
function hangingTogether(
  Solid: ManifoldToplevel['Manifold'],
  pieces: readonly Manifold[],
  own: (solid: Manifold) => Manifold,
): Manifold {
  const joined = (all: readonly Manifold[]) => withoutCrumbs(Solid, own(Solid.union([...all])), own)
  let now = [...pieces]
  let best = joined(now)
  for (let i = 1; i < pieces.length && best.count > 1; i++)
    for (const [x, y] of WAYS) {
      const ends = [1, -1].map((way) => own(pieces[i]!.translate([way * x * WELD, way * y * WELD, 0])))
      const longer = own(Solid.union([pieces[i]!, ...ends]))
      const tried = now.map((piece, k) => (k === i ? longer : piece))
      const found = joined(tried)
      if (found.count < best.count) [now, best] = [tried, found]
      if (best.count === 1) break
    }
  return best.whole
}

/**
 * All pieces of a shoe as one closed solid with its holes bored through.
 *
 * @throws NotSolid, naming the piece, where one of them is not closed
 */
export async function oneSolid(pieces: readonly SolidPiece[], bores: readonly Bore[]): Promise<Mesh> {
  const { Manifold: Solid, Mesh: KernelMesh } = await theKernel()
  const made: Manifold[] = []
  const own = (solid: Manifold): Manifold => {
    made.push(solid)
    return solid
  }
  try {
    const solids = pieces.map(({ label, mesh }) => {
      const kernelMesh = new KernelMesh({
        numProp: 3,
        vertProperties: Float32Array.from(mesh.corners.flat()),
        triVerts: Uint32Array.from(mesh.triangles),
      })
      kernelMesh.merge()
      try {
        return own(new Solid(kernelMesh))
      } catch {
        throw new NotSolid(`“${label}” is not a closed piece`)
      }
    })
    const top = Math.max(...pieces.flatMap(({ mesh }) => mesh.corners.map(([, , z]) => z)))
    const holes = bores.map(({ at, along, diameter }) => {
      const high = top + 2 * BEYOND
      const [a, b, c] = along
      // A cylinder upright from below the ground, sheared to run as the hole does: still round seen from below.
      const cylinder = own(Solid.cylinder(high, diameter / 2, diameter / 2, SIDES))
      const sunk = own(cylinder.translate([0, 0, -BEYOND]))
      return own(sunk.transform([1, 0, 0, 0, 0, 1, 0, 0, a, b, c, 0, at[0], at[1], at[2], 1]))
    })
    const whole = hangingTogether(Solid, solids, own)
    const bored = holes.length > 0 ? own(whole.subtract(own(Solid.union(holes)))) : whole
    const { vertProperties, triVerts, numProp } = withoutCrumbs(
      Solid,
      own(bored.simplify(FINE)),
      own,
    ).whole.getMesh()
    return withoutFlatFacets({
      corners: Array.from({ length: vertProperties.length / numProp }, (_, i) => [
        vertProperties[i * numProp]!,
        vertProperties[i * numProp + 1]!,
        vertProperties[i * numProp + 2]!,
      ]),
      triangles: [...triVerts],
    })
  } finally {
    for (const solid of made) solid.delete()
  }
}
