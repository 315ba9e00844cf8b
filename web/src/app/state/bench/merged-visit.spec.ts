import type { Visit } from '@crescent/core'
import { describe, expect, it } from 'vitest'
import { PAGE } from '../../testing/samples'
import { bothTexts, mergedVisit } from './merged-visit'

const visit = (changes: Partial<Visit> = {}): Visit => ({ ...PAGE.visit, ...changes })

describe('a visit that two hands finish', () => {
  it('keeps the notes of both, one below the other, and what each ticked', () => {
    const base = visit({ version: 2, notes: '' })
    const theirs = visit({
      version: 3,
      state: 'done',
      notes: 'LF a little close, look again',
      closeList: { LF: { checked: ['clinched'], note: 'tight' } },
    })
    const merged = mergedVisit(base, theirs, {
      state: 'done',
      notes: 'Ask about the mud',
      closeList: { LF: { checked: ['finished'], note: '' }, RF: { checked: ['two nails'], note: 'sound' } },
    })
    expect(merged).toMatchObject({
      version: 3,
      notes: 'LF a little close, look again\nAsk about the mud',
      closeList: {
        LF: { checked: ['clinched', 'finished'], note: 'tight' },
        RF: { checked: ['two nails'], note: 'sound' },
      },
    })
  })

  it('what was there before stands once; what only one of them changed is as he has it', () => {
    expect(bothTexts('old', 'old\ntheirs', 'old\nmine')).toBe('old\ntheirs\nmine')
    expect(bothTexts('old', 'old', 'new')).toBe('new')
    expect(bothTexts('old', 'new', 'old')).toBe('new')
    expect(bothTexts('', 'same', 'same')).toBe('same')
  })

  it('a tick that was taken back is not ticked again, nor is what was taken out of a foot put in again', () => {
    const base = visit({
      closeList: { LF: { checked: ['clinched', 'finished'], note: '' } },
      feet: { LF: { put: [{ what: 'packing', why: '' }] } },
    })
    const theirs = {
      ...base,
      closeList: { LF: { checked: ['clinched' as const], note: '' } },
      feet: { LF: {} },
    }
    const merged = mergedVisit(base, theirs, {
      closeList: { LF: { checked: ['clinched', 'finished'], note: 'mine' } },
      feet: {
        LF: {
          put: [
            { what: 'packing', why: '' },
            { what: 'sealant', why: 'thin wall' },
          ],
        },
      },
    })
    expect(merged.closeList.LF).toEqual({ checked: ['clinched'], note: 'mine' })
    expect(merged.feet.LF!.put).toEqual([{ what: 'sealant', why: 'thin wall' }])
  })

  it('of two days for the next visit the earlier one; one that only one of them set is that', () => {
    const due = (base: string | null, theirs: string | null, mine: string | null) =>
      mergedVisit(visit({ nextDue: base }), visit({ nextDue: theirs }), { nextDue: mine }).nextDue
    expect(due(null, '2026-12-20', '2026-12-12')).toBe('2026-12-12')
    expect(due(null, '2026-12-10', '2026-12-12')).toBe('2026-12-10')
    expect(due(null, '2026-12-10', null)).toBe('2026-12-10')
    expect(due('2026-12-10', '2026-12-10', '2026-12-31')).toBe('2026-12-31')
  })
})
