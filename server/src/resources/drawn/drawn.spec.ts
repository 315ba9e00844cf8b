import { randomUUID } from 'node:crypto'
import request, { type Test } from 'supertest'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { formatLength, planShoe, type ShoeInput } from '@crescent/core'
import { MARGIN } from '../../formats/pdf/paper'
import { FOOT as FOOT_ROOM } from '../../formats/pdf/tiles'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { darkAlong, pagesOf } from '../../testing/pdf'
import { savePattern } from '../patterns/save'

let bed: Bed
const plain = randomUUID()
const barred = randomUUID()
beforeAll(() => {
  bed = makeBed()
  const { horse, visit } = addHorse(bed.practice, 'Tänsy & Co')
  const save = (id: string, shoe: ShoeInput) =>
    savePattern(bed.practice, {
      ...{ id, version: 0, horseId: horse.id, side: 'LF', name: 'A shoe', visitId: visit.id, notes: '' },
      ...{ foot: FOOT, shoe, workshop: {}, archived: false },
    })
  save(plain, SHOE)
  save(barred, { ...SHOE, modifications: [{ kind: 'heart-bar' }] })
})
afterAll(() => bed.remove())

const whole = (asked: Test) =>
  asked.buffer(true).parse((response, done) => {
    const parts: Buffer[] = []
    response.on('data', (part: Buffer) => parts.push(part))
    response.on('end', () => done(null, Buffer.concat(parts)))
  })
const template = async (id: string, query: string) => {
  const { body } = await whole(request(bed.app).get(`/api/patterns/${id}/template?${query}`)).expect(200)
  return body as Buffer
}

describe('a template on paper', () => {
  it.each([
    ['a4', 210, 297],
    ['letter', 215.9, 279.4],
  ])('is at true size on %s: 100 mm and 4 in are what they say', async (paper, width, height) => {
    const [page, ...more] = await pagesOf(await template(plain, `paper=${paper}`))
    expect(more).toEqual([])
    expect(page!.width).toBeCloseTo(width, 1)
    expect(page!.height).toBeCloseTo(height, 1)
    // Read as a rule is laid: from end stroke to end stroke, above the lines.
    const top = height - MARGIN - FOOT_ROOM + 4 + 4
    for (const [y, long] of [
      [top - 1.2, 100],
      [top + 9 - 1.2, 101.6],
    ] as const) {
      const [first, last] = darkAlong(page!, y)
      expect(Math.abs(last! - first! - long)).toBeLessThan(0.2)
    }
    expect(page!.text).toContain('Tänsy & Co, LF')
    expect(page!.text).toContain('100 mm')
  })

  it('is the planned shoe: as wide on paper as it is', async () => {
    const [page] = await pagesOf(await template(plain, 'paper=a4'))
    const { outline } = planShoe(FOOT, SHOE)
    const widest = outline.outer.reduce((far, point) => (point[0] > far[0] ? point : far))
    // Look for the row that is widest.
    let most = 0
    for (let y = 30; y < 240; y += 0.5) {
      const dark = darkAlong(page!, y)
      if (dark.length > 1) most = Math.max(most, dark[dark.length - 1]! - dark[0]!)
    }
    const medial = Math.min(...outline.outer.map(([x]) => x))
    expect(Math.abs(most - (widest[0] - medial))).toBeLessThan(0.5)
  })

  it('goes over several sheets where it is longer than one, each with its scale and its joints', async () => {
    const pages = await pagesOf(await template(plain, 'kind=strip&paper=letter'))
    expect(pages.length).toBe(2)
    for (const page of pages) expect(page.text).toContain('4 in')
    expect(pages[0]!.text).toContain('line A')
    expect(pages[1]!.text).toContain('lies on line A')
  })

  it('asks the printer not to scale it', async () => {
    expect((await template(plain, '')).toString('latin1')).toMatch(/\/PrintScaling \/None/)
  })
})

describe('templates as files', () => {
  it('come as SVG and DXF under the name of the horse, mirrored when asked', async () => {
    const { headers, body } = await whole(
      request(bed.app).get(`/api/patterns/${plain}/template?format=svg`),
    ).expect(200)
    expect(headers['content-type']).toContain('image/svg+xml')
    expect(decodeURIComponent(String(headers['content-disposition']))).toContain('tänsy-co-lf-sole.svg')
    expect(String(body)).toContain('data-layer="Shoe"')
    const mirrored = String(await template(plain, 'format=svg&mirror=true'))
    expect(mirrored).toContain('mirrored')
    expect(mirrored).not.toBe(String(body))
    expect(String(await template(plain, 'format=dxf'))).toContain('SECTION')
  })

  it('are refused with a sentence where the shoe has no such piece, or the pattern is not there', async () => {
    const missing = await request(bed.app).get(`/api/patterns/${plain}/template?kind=frog`).expect(404)
    expect(JSON.stringify(missing.body)).toContain('put a heart bar on it first')
    expect((await template(barred, 'kind=frog&format=svg')).toString()).toContain('Frog plate')
    await request(bed.app).get(`/api/patterns/${randomUUID()}/template`).expect(404)
    await request(bed.app).get(`/api/patterns/${plain}/template?kind=nothing`).expect(400)
  })

  it('are made of a shoe that is not stored, and refused by figure where it cannot be made', async () => {
    const asked = { foot: FOOT, shoe: SHOE, title: 'New', kind: 'sole', format: 'svg' }
    const { body } = await whole(request(bed.app).post('/api/templates').send(asked)).expect(200)
    expect(String(body)).toContain('New, LF')
    const refused = await request(bed.app)
      .post('/api/templates')
      .send({ ...asked, foot: { ...FOOT, width: 4 } })
      .expect(400)
    expect(JSON.stringify(refused.body)).toContain('foot.width')
  })
})

describe('a forge card', () => {
  it('is one page that says what to cut, in the unit that was asked for', async () => {
    const { iron } = planShoe(FOOT, SHOE)
    for (const [query, cut] of [
      ['unit=mm', `${Math.round(iron.cutLength * 2) / 2} mm`],
      ['unit=in&parts=16', formatLength(iron.cutLength, { unit: 'in', denominator: 16 })],
    ] as const) {
      const { body } = await whole(request(bed.app).get(`/api/patterns/${plain}/card?${query}`)).expect(200)
      const pages = await pagesOf(body as Buffer)
      expect(pages.length).toBe(1)
      expect(pages[0]!.text).toContain(cut)
      expect(pages[0]!.text).toContain('Bend the toe first')
      expect(pages[0]!.text).toContain('Stamp LF')
    }
  })

  it('of a shoe with much to tell stands on one page still', async () => {
    for (const kind of ['hospital-plate', 'trailer', 'wide-toe', 'egg-bar', 'hinged-expander']) {
      const asked = { foot: FOOT, shoe: { ...SHOE, modifications: [{ kind }] } }
      const { body } = await whole(request(bed.app).post('/api/cards').send(asked)).expect(200)
      expect((await pagesOf(body as Buffer)).length, kind).toBe(1)
    }
  })

  it('of a visit: nothing forged is said so', async () => {
    const { visit } = addHorse(bed.practice, 'Bare')
    const refused = await request(bed.app).get(`/api/visits/${visit.id}/cards`).expect(404)
    expect(JSON.stringify(refused.body)).toContain('Nothing is forged at this visit')
  })
})
