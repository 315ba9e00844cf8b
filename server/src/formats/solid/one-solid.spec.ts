import Module from 'manifold-3d'
import { describe, expect, it } from 'vitest'
import { planShoe, type FootInput, type ShoeInput } from '@crescent/core'
import { boresOf, holeSize } from '@crescent/core/formats'
import { solidOf, type Mesh } from '@crescent/core/solid'
import { oneSolid } from './one-solid'
import { writeStl } from './stl'

const FOOT = {
  side: 'LF',
  width: 127,
  length: 127,
  heelWidth: 88.9,
  toeAngle: 52,
  wallThickness: 9.5,
} as const
const FEET: readonly FootInput[] = [
  FOOT,
  { ...FOOT, width: 112, length: 118, heelWidth: 70 },
  { ...FOOT, width: 150, length: 140, heelWidth: 118, toeAngle: 48 },
  { ...FOOT, side: 'RH', width: 118, length: 126, heelWidth: 84, toeAngle: 55 },
]
const MADE = [
  [],
  ['toe-clip'],
  ['side-clips'],
  ['quarter-clips'],
  ['seating-out', 'toe-clip'],
  ['straight-bar'],
  ['heart-bar'],
  ['egg-bar'],
  ['hospital-plate'],
  ['heart-bar', 'side-clips'],
] as const
const shoe = (kinds: readonly string[]): ShoeInput => ({
  section: { shape: 'flat', width: 19.05, thickness: 7.9375, material: 'steel' },
  fit: 'general',
  nails: { school: 'sound' },
  modifications: kinds.map((kind) => ({ kind })),
})

/** Closed bodies that do not touch, by the kernel of solids, and what is inside them, mm3. */
async function bodiesOf({ corners, triangles }: Mesh): Promise<number[]> {
  const kernel = await Module()
  kernel.setup()
  const mesh = new kernel.Mesh({
    numProp: 3,
    vertProperties: Float32Array.from(corners.flat()),
    triVerts: Uint32Array.from(triangles),
  })
  mesh.merge()
  return new kernel.Manifold(mesh).decompose().map((body) => body.volume())
}

/** The area of each facet of an STL file, mm2, as its bytes have it. */
function facetsOf(stl: Uint8Array): number[] {
  const view = new DataView(stl.buffer, stl.byteOffset, stl.byteLength)
  return Array.from({ length: view.getUint32(80, true) }, (_, i) => {
    const corner = (k: number) => [0, 4, 8].map((o) => view.getFloat32(84 + 50 * i + 12 + 12 * k + o, true))
    const [a, b, c] = [corner(0), corner(1), corner(2)] as [number[], number[], number[]]
    const [u, v] = [b, c].map((p) => p.map((value, axis) => value - a[axis]!)) as [number[], number[]]
    return (
      Math.hypot(
        u[1]! * v[2]! - u[2]! * v[1]!,
        u[2]! * v[0]! - u[0]! * v[2]!,
        u[0]! * v[1]! - u[1]! * v[0]!,
      ) / 2
    )
  })
}

describe('a shoe as one solid', () => {
  it.each(MADE.map((kinds) => [kinds.join(' and ') || 'nothing more'] as const))(
    'hangs together as a weld holds it, with %s',
    async (name) => {
      const kinds = name === 'nothing more' ? [] : name.split(' and ')
      for (const foot of FEET) {
        const plan = planShoe(foot, shoe(kinds))
        const whole = await oneSolid(solidOf(plan), boresOf(plan, holeSize(plan)))
        expect(await bodiesOf(whole)).toHaveLength(1)
        const areas = facetsOf(writeStl(whole))
        expect(areas.length).toBeGreaterThan(500)
        expect(Math.min(...areas)).toBeGreaterThan(0)
      }
    },
  )
})
