import { DOMParser } from '@xmldom/xmldom'
import { strFromU8, unzipSync } from 'fflate'
import request, { type Test } from 'supertest'
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { MODIFICATIONS, planShoe, type ShoeInput } from '@crescent/core'
import { boresOf } from '@crescent/core/formats'
import { FOOT, makeBed, SHOE, type Bed } from '../../testing'

let bed: Bed
beforeAll(() => {
  bed = makeBed()
})
afterAll(() => bed.remove())

type Corner = readonly [number, number, number]

const whole = (asked: Test) =>
  asked.buffer(true).parse((response, done) => {
    const parts: Buffer[] = []
    response.on('data', (part: Buffer) => parts.push(part))
    response.on('end', () => done(null, Buffer.concat(parts)))
  })
async function solid(shoe: ShoeInput, format: string): Promise<Buffer> {
  const { body } = await whole(
    request(bed.app).post('/api/solids').send({ foot: FOOT, shoe, format }),
  ).expect(200)
  return body as Buffer
}

/** Volume inside triangles, mm3, and whether every edge is walked once each way. */
function judged(faces: readonly (readonly [Corner, Corner, Corner])[]): { volume: number; closed: boolean } {
  const edges = new Map<string, number>()
  const name = (corner: Corner) => corner.join(' ')
  let volume = 0
  for (const face of faces) {
    const [a, b, c] = face
    volume +=
      (a[0] * (b[1] * c[2] - b[2] * c[1]) -
        a[1] * (b[0] * c[2] - b[2] * c[0]) +
        a[2] * (b[0] * c[1] - b[1] * c[0])) /
      6
    face.forEach((from, i) => {
      const [one, other] = [name(from), name(face[(i + 1) % 3]!)]
      // Two corners in one place bound nothing between them.
      if (one === other) return
      const key = one < other ? `${one}|${other}` : `${other}|${one}`
      edges.set(key, (edges.get(key) ?? 0) + (one < other ? 1 : -1))
    })
  }
  return { volume, closed: [...edges.values()].every((sum) => sum === 0) }
}

function stlFaces(file: Buffer): [Corner, Corner, Corner][] {
  const data = file.buffer.slice(file.byteOffset, file.byteOffset + file.byteLength) as ArrayBuffer
  const at = new STLLoader().parse(data).getAttribute('position')
  const corner = (i: number): Corner => [at.getX(i), at.getY(i), at.getZ(i)]
  return Array.from({ length: at.count / 3 }, (_, i) => [corner(i * 3), corner(i * 3 + 1), corner(i * 3 + 2)])
}

describe('the solid of a shoe', () => {
  it.each([
    ['a plain shoe', SHOE],
    ['a creased shoe with clips', { ...SHOE, modifications: [{ kind: 'crease' }, { kind: 'toe-clip' }] }],
    [
      'a rocker toe seated out',
      { ...SHOE, modifications: [{ kind: 'rocker-toe' }, { kind: 'seating-out' }] },
    ],
  ] as [string, ShoeInput][])(
    'is closed, and as large as its sections say but for its holes: %s',
    async (_, shoe) => {
      const { volume, closed } = judged(stlFaces(await solid(shoe, 'stl')))
      expect(closed).toBe(true)
      const { iron, nails, section } = planShoe(FOOT, shoe)
      // Steel weighs 7850 kg/m3 (EN 1991-1-1 Table A.4): what the plan weighs, as volume.
      const planned = iron.weight / 7850e-6
      const bored = nails.length * Math.PI * (3.4 / 2) ** 2 * section.thickness
      expect(Math.abs(volume + bored - planned) / planned).toBeLessThan(0.01)
    },
  )

  it.each(MODIFICATIONS.map(({ kind }) => kind))('is closed with every modification: %s', async (kind) => {
    const heavy = { width: 25.4, thickness: 12.7, material: 'aluminium' } as const
    const section = kind === 'four-rail-plate' ? { ...SHOE.section, ...heavy } : SHOE.section
    const shoe: ShoeInput = { section, fit: 'conservative', modifications: [{ kind }] }
    const { volume, closed } = judged(stlFaces(await solid(shoe, 'stl')))
    expect(closed).toBe(true)
    expect(volume).toBeGreaterThan(0)
  })

  it('has a way through at every hole, leaning as the nail will', async () => {
    const plan = planShoe(FOOT, SHOE)
    const faces = stlFaces(await solid(SHOE, 'stl'))
    /** Faces met by a line that runs up from a place of the ground. */
    const met = ([x, y]: readonly [number, number], [ax, ay]: readonly [number, number]) =>
      faces.filter((face) => {
        const flat = face.map(([fx, fy, fz]) => [fx - ax * fz, fy - ay * fz] as const)
        const side = flat.map((a, i) => {
          const b = flat[(i + 1) % 3]!
          return (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0])
        })
        return side.every((one) => one > 0) || side.every((one) => one < 0)
      }).length
    const bores = boresOf(plan, 3)
    expect(bores.length).toBe(8)
    for (const { at, along } of bores) expect(met([at[0], at[1]], [along[0], along[1]])).toBe(0)
    // Beside a hole the line goes in below and out above.
    const [x, y] = plan.outline.centreline[Math.round(plan.outline.centreline.length / 2)]!
    expect(met([x, y + 0.01], [0, 0])).toBe(2)
  })

  it('is the same as 3MF, in millimetres', async () => {
    const parts = unzipSync(new Uint8Array(await solid(SHOE, '3mf')))
    expect(Object.keys(parts).sort()).toEqual(['3D/3dmodel.model', '[Content_Types].xml', '_rels/.rels'])
    const model = new DOMParser().parseFromString(strFromU8(parts['3D/3dmodel.model']!), 'text/xml')
    expect(model.documentElement!.getAttribute('unit')).toBe('millimeter')
    const corners = Array.from(model.getElementsByTagName('vertex'), (vertex): Corner => [
      Number(vertex.getAttribute('x')),
      Number(vertex.getAttribute('y')),
      Number(vertex.getAttribute('z')),
    ])
    const faces = Array.from(model.getElementsByTagName('triangle'), (face): [Corner, Corner, Corner] => [
      corners[Number(face.getAttribute('v1'))]!,
      corners[Number(face.getAttribute('v2'))]!,
      corners[Number(face.getAttribute('v3'))]!,
    ])
    const [one, other] = [judged(faces), judged(stlFaces(await solid(SHOE, 'stl')))]
    expect(one.closed).toBe(true)
    expect(one.volume).toBeCloseTo(other.volume, 0)
  })

  it('of a shoe that cannot be made is refused by figure', async () => {
    const refused = await request(bed.app)
      .post('/api/solids')
      .send({ foot: { ...FOOT, length: 1 }, shoe: SHOE })
      .expect(400)
    expect(JSON.stringify(refused.body)).toContain('foot.length')
  })
})
