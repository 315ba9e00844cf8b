import { describe, expect, it } from 'vitest'
import { newLook, type Finding, type Look, type Side, type VisitPage } from '@crescent/core'
import { FOOT, PAGE, pattern } from '../../../testing/samples'
import { feetAgain, storedAgain, type FootAgain } from './feet-again'

const IDS = { LF: 'r-lf', RF: 'r-rf', LH: 'r-lh', RH: 'r-rh' }
const BOTH: VisitPage = {
  ...PAGE,
  patterns: [pattern('p1'), pattern('p2', { side: 'RF', foot: { ...FOOT, side: 'RF', width: 124 } })],
}
const feet = (page = BOTH, unsaved: Side[] = []): Record<Side, FootAgain> =>
  Object.fromEntries(feetAgain(page, unsaved, IDS).map((foot) => [foot.side, foot])) as Record<
    Side,
    FootAgain
  >

const finding = (kind: Finding['kind'], place: Finding['place'], grade: number): Finding => ({
  ...{ id: 'f', kind, place, grade, note: '', answer: 'new', since: '2026-11-23' },
})
function found(one: Finding): VisitPage {
  const look: Look = newLook('look', 'visit')
  look.feet.LF.findings = [one]
  return { ...BOTH, look }
}

describe('all four as last time', () => {
  it('are new shoes on the feet as they were measured last, else as their pattern was made for', () => {
    const { LF, RF, LH } = feet()
    expect(LF).toMatchObject({ proposed: 'shod', why: '', can: ['shod', 'reset', 'bare', 'nothing'] })
    expect(LF.made!.record).toMatchObject({
      id: 'r-lf',
      version: 0,
      visitId: 'visit',
      foot: FOOT,
      patternId: 'p1',
    })
    expect(RF.made!.record.foot).toMatchObject({ side: 'RF', width: 124 })
    expect(RF.made!.plan.iron.cutLength).toBeLessThan(LF.made!.plan.iron.cutLength)
    expect(LH).toMatchObject({ proposed: 'nothing', can: ['nothing'], why: 'No shoe yet.' })
  })

  it('leave a foot bare that was left bare last time', () => {
    const lastVisit = { ...BOTH.lastVisit!, feet: { RF: { work: 'bare' } } } as VisitPage['lastVisit']
    expect(feet({ ...BOTH, lastVisit }).RF).toMatchObject({ proposed: 'bare', can: ['bare', 'nothing'] })
  })

  it('touch no foot that was worked on already, nor one with unsaved work', () => {
    const visit = { ...BOTH.visit, feet: { LF: { work: 'reset' as const } } }
    expect(feet({ ...BOTH, visit }).LF).toMatchObject({ can: ['nothing'], proposed: 'nothing' })
    expect(feet(BOTH, ['RF']).RF).toMatchObject({ can: ['nothing'], proposed: 'nothing' })
  })

  it('put no shoe on a foot with a running abscess, found now or left open last time', () => {
    const page = found(finding('track', 'toe-sole', 3))
    for (const one of [page, { ...BOTH, lookBefore: page.look }]) {
      expect(feet(one).LF.can).toEqual(['bare', 'nothing'])
      expect(feet(one).LF.why).toContain('abscess')
      expect(feet(one).RF.proposed).toBe('shod')
    }
  })

  it('keep the nails out of what was found on the wall since', () => {
    const { LF } = feet(found(finding('crack', 'outer-quarter', 2)))
    expect(LF.made!.pattern.foot.keepClear).toHaveLength(1)
    expect(feet().LF.made!.pattern.foot.keepClear).toBeUndefined()
  })

  it('say where a shoe cannot be made again, and offer to put the old one back', () => {
    const broken = pattern('p1', {
      shoe: { ...pattern('p1').shoe, section: { ...pattern('p1').shoe.section, width: 2 } },
    })
    const { LF } = feet({ ...BOTH, patterns: [broken] })
    expect(LF).toMatchObject({ proposed: 'reset', can: ['reset', 'bare', 'nothing'] })
    expect(LF.why).toMatch(/^It cannot be made again as it was: .*\d/)
  })
})

describe('what is stored of it', () => {
  it('is what was chosen for each foot, beside what stood there', () => {
    const visit = { ...BOTH.visit, feet: { LF: { paused: 'two nails in' } } }
    const page = { ...BOTH, visit }
    const sent = storedAgain(page, feetAgain(page, [], IDS), { LF: 'shod', RF: 'reset', LH: 'nothing' })
    expect(sent.visit.feet).toEqual({ LF: { work: 'shod', paused: 'two nails in' }, RF: { work: 'reset' } })
    expect(sent.feet.map(({ record }) => record.side)).toEqual(['LF'])
    expect(sent.feet[0]!.pattern).toMatchObject({
      id: 'p1',
      version: 1,
      visitId: 'visit',
      why: 'as last time',
    })
    expect(sent.feet[0]!.pattern).not.toHaveProperty('result')
  })
})
