import { describe, expect, it } from 'vitest'
import { photoHead } from './photo-head'

/** A JPEG of 24 x 16 pixels, written by libvips 8.18. */
const JPEG = Uint8Array.from(
  atob(
    '/9j/2wBDABALDA4MChAODQ4SERATGCgaGBYWGDEjJR0oOjM9PDkzODdASFxOQERXRTc4UG1RV19iZ2hnPk1xeXBkeFxlZ2P/2wBDARESEhgVGC8aGi9jQjhCY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2NjY2P/wAARCAAQABgDASIAAhEBAxEB/8QAFQABAQAAAAAAAAAAAAAAAAAAAAP/xAAUEAEAAAAAAAAAAAAAAAAAAAAA/8QAFAEBAAAAAAAAAAAAAAAAAAAAAP/EABQRAQAAAAAAAAAAAAAAAAAAAAD/2gAMAwEAAhEDEQA/AJAAAA//2Q==',
  ),
  (letter) => letter.charCodeAt(0),
)
const AVIF = Uint8Array.from(atob('AAAAHGZ0eXBhdmlmAAAAAA=='), (letter) => letter.charCodeAt(0))

/** The same with so many notes of 64 KB before its size. */
function withNotes(many: number): Blob {
  const note = new Uint8Array(65_535 + 2)
  note.set([0xff, 0xfe, 0xff, 0xff])
  return new Blob([JPEG.slice(0, 2), ...new Array<Uint8Array<ArrayBuffer>>(many).fill(note), JPEG.slice(2)])
}

describe('the head of a photograph', () => {
  it('is found however long the notes before its size are', async () => {
    for (const many of [0, 7, 12, 40]) expect(await photoHead(withNotes(many))).toEqual({ ok: true })
  })

  it('of a kind that is not read says which it is, and what to do', async () => {
    const words = async (bytes: Uint8Array<ArrayBuffer> | string) => {
      const head = await photoHead(new Blob([bytes]))
      return head.ok ? '' : head.problem
    }
    expect(await words(AVIF)).toContain('AVIF')
    expect(await words('II*\0and more of it')).toMatch(/TIFF.*JPEG or PNG/)
    expect(await words('GIF89a and more')).toContain('GIF')
    expect(await words('\0\0\0\x18ftypheic....')).toContain('HEIC')
    expect(await words('a letter to a friend')).toContain('no photograph')
  })
})
