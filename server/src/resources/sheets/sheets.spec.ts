import { randomUUID } from 'node:crypto'
import request from 'supertest'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { newLook, type Look } from '@crescent/core'
import { withAgreed } from '@crescent/core/advice'
import { addHorse, FOOT, makeBed, SHOE, type Bed } from '../../testing'
import { pagesOf } from '../../testing/pdf'
import { saveShoeing } from '../visits/shoeing'

let bed: Bed
let visitId: string
beforeEach(() => {
  bed = makeBed()
  const { horse, visit } = addHorse(bed.practice, 'Tansy')
  visitId = visit.id
  const pattern = {
    ...{ id: randomUUID(), version: 0, horseId: horse.id, side: 'LF' as const, name: 'Set', visitId },
    ...{ foot: FOOT, workshop: {}, notes: '', archived: false },
    shoe: { ...SHOE, modifications: [{ kind: 'hinged-expander' }] },
  }
  const record = {
    id: randomUUID(),
    version: 0,
    visitId,
    side: 'LF' as const,
    foot: FOOT,
    patternId: pattern.id,
    notes: '',
  }
  saveShoeing(bed.practice, { pattern, record })
  const blank = newLook(randomUUID(), visitId)
  const look: Look = {
    ...blank,
    vet: { ...blank.vet, diagnosis: 'founder', who: 'Dr. Reed', words: 'Rotated by four degrees' },
    feet: {
      ...blank.feet,
      LF: {
        ...blank.feet.LF,
        untrimmed: { width: 133 },
        findings: [
          {
            id: randomUUID(),
            kind: 'flare',
            place: 'outer-quarter',
            grade: 2,
            note: '',
            answer: 'worse',
            since: '2026-08-01',
          },
          {
            id: randomUUID(),
            kind: 'crack',
            place: 'toe-wall',
            grade: 1,
            note: '',
            answer: 'gone',
            since: '2026-08-01',
          },
        ],
      },
    },
  }
  bed.practice.looks.put(look)
})
afterEach(() => bed.remove())

const textOf = async (query: string) => {
  const { body } = await request(bed.app)
    .get(`/api/visits/${visitId}/sheet?${query}`)
    .buffer(true)
    .parse((response, done) => {
      const parts: Buffer[] = []
      response.on('data', (part: Buffer) => parts.push(part))
      response.on('end', () => done(null, Buffer.concat(parts)))
    })
    .expect(200)
  return (await pagesOf(body as Buffer)).map(({ text }) => text).join(' ')
}

describe('sheets about a visit', () => {
  it('tell the owner what was found, put on, to be watched, and when next', async () => {
    const text = await textOf('for=owner')
    expect(text).toContain('flare, clear, at the outer quarter, worse than last time')
    expect(text).not.toContain('crack')
    expect(text).toMatch(/Left fore: shod, hinged heel expander/)
    expect(text).toContain('Cross bar 2')
    expect(text).toContain('Tansy is due on 12 November 2026')
    expect(text).toContain('call the vet first')
  })

  it('tell owner and vet what was put in or on, and why', async () => {
    const { practice } = bed
    const put = [
      { what: 'packing' as const, why: 'thin sole' },
      { what: 'antiseptic' as const, why: '' },
    ]
    practice.visits.put({ ...practice.visits.get(visitId)!, feet: { LF: { put } } })
    for (const reader of ['owner', 'vet'])
      expect(await textOf(`for=${reader}`)).toContain('Left fore: packing (thin sole), antiseptic.')
  })

  it('tell what should come by the next visit of what was agreed', async () => {
    const { practice } = bed
    const look = practice.looks.ofVisit(visitId)!
    const LF = withAgreed(look.feet.LF, ['flare-fit', 'holes'], '2026-10-01')
    practice.looks.put({ ...look, feet: { ...look.feet, LF } })
    expect(await textOf('for=owner')).toMatch(
      /What should come by the next visit\s+Left fore: Flare smaller\./,
    )
    expect(await textOf('for=vet')).toMatch(/What is looked for next time\s+Left fore: Flare smaller\./)
  })

  it('tell the vet what was said, the figures before and after, in the unit that was asked for', async () => {
    const text = await textOf('for=vet&unit=mm')
    expect(text).toContain('Said by Dr. Reed')
    expect(text).toContain('width: 133 mm before, 127 mm after')
    expect(await textOf('for=vet&unit=in')).toContain('width: 5 1/4" before, 5" after')
  })

  it('are refused for a visit that is not there, and for a reader nobody knows', async () => {
    await request(bed.app).get(`/api/visits/${randomUUID()}/sheet`).expect(404)
    await request(bed.app).get(`/api/visits/${visitId}/sheet?for=saddler`).expect(400)
  })
})
