import Module, { type Manifold, type ManifoldToplevel } from 'manifold-3d'
import type { Mesh, SolidPiece } from '@crescent/core/solid'
import { Refused } from '../../http/door'
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

/** Sides of a bored hole. */
const SIDES = 32

/** A shoe that could not be made one closed solid. */
export class NotSolid extends Refused {}

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
    const whole = own(Solid.union(solids))
    const bored = holes.length > 0 ? own(whole.subtract(own(Solid.union(holes)))) : whole
    const { vertProperties, triVerts, numProp } = bored.getMesh()
    return {
      corners: Array.from({ length: vertProperties.length / numProp }, (_, i) => [
        vertProperties[i * numProp]!,
        vertProperties[i * numProp + 1]!,
        vertProperties[i * numProp + 2]!,
      ]),
      triangles: [...triVerts],
    }
  } finally {
    for (const solid of made) solid.delete()
  }
}
