import { beforeEach, describe, expect, it } from 'vitest'
import { PhotoWorker, type PhotoTools } from './photo-work'

/** As wide as few phones take it. */
const WIDE = 8_200
let decoded: { width: number; height: number; data: Uint8ClampedArray }
let packed: { rgba: Uint8ClampedArray; width: number; height: number }[]
let works: PhotoWorker
const tools: PhotoTools = {
  decoded: () => Promise.resolve(decoded),
  packed: (rgba, width, height) => {
    packed.push({ rgba, width, height })
    return Promise.resolve(new Blob(['picture']))
  },
}
const ask = (asked: Parameters<PhotoWorker['answer']>[0]) => works.answer(asked, () => undefined)
beforeEach(() => {
  packed = []
  decoded = { width: 40, height: 20, data: new Uint8ClampedArray(40 * 20 * 4).fill(200) }
  works = new PhotoWorker(tools)
})

describe('a photograph that is kept', () => {
  it('is packed as it was taken; larger than a phone takes them it is brought down', async () => {
    expect(await ask({ do: 'keep' })).toMatchObject({ ok: false })
    await ask({ do: 'open', file: new Blob() })
    expect(await ask({ do: 'keep' })).toMatchObject({
      ok: true,
      width: 40,
      height: 20,
      file: btoa('picture'),
    })
    decoded = { width: WIDE, height: 4, data: new Uint8ClampedArray(WIDE * 4 * 4).fill(77) }
    await ask({ do: 'open', file: new Blob() })
    expect(await ask({ do: 'keep' })).toMatchObject({ width: WIDE / 2, height: 2 })
    expect(packed[1]!.rgba[0]).toBe(77)
  })

  it('of a known plane is seen from straight above', async () => {
    // Its right half is dark: in the plane, what lies to the right of the axis.
    decoded.data.forEach((_, i) => (i >> 2) % 40 >= 20 && (decoded.data[i] = 10))
    await ask({ do: 'open', file: new Blob() })
    const view = { homography: [1, 0, 20, 0, -1, 20, 0, 0, 1], bend: 0, width: 40, height: 20 }
    const frame = { heels: [0, 0], ahead: [0, 1], below: 0, mmPerPixel: 0.5, width: 60, height: 30 } as const
    expect(await ask({ do: 'keep', above: { view, frame } })).toMatchObject({ width: 60, height: 30 })
    const at = (x: number, y: number) => packed[0]!.rgba[(y * 60 + x) * 4]
    expect([at(5, 15), at(55, 15)]).toEqual([200, 10])
  })
})
