import { describe, expect, it } from 'vitest'
import { textOfFile } from './text-of-file'

const bytes = (text: string) => Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)))

describe('the text of a file', () => {
  it('is read in its letters: UTF-8, UTF-16 of either order, Windows-1252', async () => {
    const text = 'label;kind\nGröße 5;steel\n'
    const wide = new Uint8Array(2 + text.length * 2)
    wide.set([0xff, 0xfe])
    new Uint16Array(wide.buffer, 2).set([...text].map((letter) => letter.charCodeAt(0)))
    const turned = wide.map((_, i) => wide[i ^ 1]!)
    for (const file of [
      new Blob([text]),
      new Blob(['\uFEFF' + text]),
      new Blob([bytes(text)]),
      new Blob([wide]),
      new Blob([turned]),
    ])
      expect(await textOfFile(file)).toEqual({ ok: true, text })
    expect(await textOfFile(new Blob([Uint8Array.of(0xbd, 0xfc)]))).toEqual({ ok: true, text: '½ü' })
  })

  it('that is a spreadsheet is told by what it is, and what to do', async () => {
    for (const start of [bytes('PK\x03\x04'), Uint8Array.of(0xd0, 0xcf, 0x11, 0xe0)]) {
      const read = await textOfFile(new Blob([start, 'and so on']))
      expect(!read.ok && read.problem).toContain('save the sheet as CSV')
    }
  })
})
