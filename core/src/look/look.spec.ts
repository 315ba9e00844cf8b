import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { leftOf, shareLeft, WEAR_SHARES } from './wear-shares'
import { anyFoot } from '../testing/any-foot'
import { landmarks } from '../foot/landmarks'
import { readFoot } from '../foot/measurements'
import { footOutline } from '../foot/outline'
import type { Vec } from '../geometry/vector'
import { lookSchema, type Finding, type Look } from '../records/look'
import { answered, openQuestions, standing, withTap } from './carry'
import { FINDING_KINDS, findingKind, kindsFor } from '../terms/finding-kinds'
import { beforeShoe, closedGates, gatesOf } from './gates'
import { newLook } from './new-look'
import { endProportion } from './old-shoe'
import { placeAreas } from './place-areas'
import { PLACES } from '../terms/places'

const ID = '3f0c6a52-6f0e-4a3e-8f5e-0a1b2c3d4e5f'
const finding = (changes: Partial<Finding>): Finding => ({
  id: ID,
  kind: 'flare',
  place: 'outer-quarter',
  grade: 2,
  note: '',
  answer: 'new',
  since: '2026-09-01',
  ...changes,
})
const withFindings = (findings: Finding[], look: Look = newLook(ID, ID)): Look => ({
  ...look,
  feet: { ...look.feet, LF: { ...look.feet.LF, findings } },
})

describe('newLook', () => {
  it('fits its schema and carries what lasts, not what changes', () => {
    const before: Look = {
      ...withFindings([finding({})]),
      vet: {
        diagnosis: 'founder',
        words: 'rotation',
        limits: 'no toe nails',
        who: 'Dr Ebb',
        on: '2026-08-30',
      },
      ways: { work: 'retired', interference: ['brushes'], notes: 'only that day' },
      acknowledged: [{ gate: 'x', title: 'y', words: '', at: '2026-09-01T10:00:00.000Z' }],
    }
    before.feet.LF.frontLine = 'toes out'
    before.feet.LF.landing = 'outside first'
    const next = newLook(ID, ID, before)
    expect(lookSchema.parse(next)).toEqual(next)
    expect(next.vet.diagnosis).toBe('founder')
    expect(next.ways).toMatchObject({ work: 'retired', notes: '' })
    expect(next.feet.LF).toMatchObject({ frontLine: 'toes out', findings: [] })
    expect(next.feet.LF.landing).toBeUndefined()
    expect(next.acknowledged).toEqual([])
  })
})

describe('findings carried forward', () => {
  it('are asked once each, until answered, and never again once gone', () => {
    const before = withFindings([finding({}), finding({ kind: 'rot', place: 'frog', answer: 'gone' })])
    const now = newLook(ID, ID, before)
    expect(openQuestions(before, now, 'LF')).toHaveLength(1)
    expect(openQuestions(before, now, 'RF')).toHaveLength(0)
    expect(openQuestions(undefined, now, 'LF')).toHaveLength(0)
    const told = answered(before.feet.LF.findings[0]!, 'gone', ID)
    expect(openQuestions(before, withFindings([told], now), 'LF')).toHaveLength(0)
    expect(standing([told])).toHaveLength(0)
  })

  it('are asked again at the visit after where nobody answered, through one at which nothing was found', () => {
    const first = withFindings([finding({}), finding({ kind: 'rot', place: 'frog' })])
    const kept = answered(first.feet.LF.findings[1]!, 'worse', ID)
    const second = withFindings([kept], newLook(ID, ID, first))
    const third = newLook(ID, ID, second)
    expect(lookSchema.parse(third)).toEqual(third)
    expect(openQuestions(second, third, 'LF')).toEqual([kept, finding({})])
    // One that was answered with gone, late as it was, is not asked again.
    const gone = withFindings([answered(finding({}), 'gone', ID)], third)
    expect(openQuestions(gone, newLook(ID, ID, gone), 'LF')).toEqual([kept])
  })

  it.each([
    ['better', 1],
    ['same', 2],
    ['worse', 3],
    ['gone', 2],
  ] as const)('%s makes grade 2 grade %d and keeps the day it was first seen', (answer, grade) => {
    expect(answered(finding({}), answer, ID)).toMatchObject({ grade, answer, since: '2026-09-01' })
  })

  it('never leaves the grades of its kind', () => {
    expect(answered(finding({ grade: 1 }), 'better', ID).grade).toBe(1)
    expect(answered(finding({ grade: 3 }), 'worse', ID).grade).toBe(3)
    expect(answered(finding({ kind: 'club', place: 'foot', grade: 3 }), 'worse', ID).grade).toBe(4)
  })
})

describe('withTap', () => {
  const tap = (grade: number | null) => ({ kind: 'flare', place: 'outer-quarter', grade }) as const
  const before = finding({ grade: 2, since: '2026-06-01' })

  it('adds what is new to the foot, on the day of the visit', () => {
    expect(withTap([], tap(1), undefined, 'new', '2026-11-23')).toEqual([
      finding({ id: 'new', grade: 1, answer: 'new', since: '2026-11-23' }),
    ])
  })

  it.each([
    [1, 'better'],
    [2, 'same'],
    [3, 'worse'],
  ] as const)('grade %d after grade 2 is %s and keeps the day it was first seen', (grade, answer) => {
    const made = withTap([], tap(grade), before, 'new', '2026-11-23')
    expect(made[0]).toMatchObject({ grade, answer, since: '2026-06-01' })
    // Tapped anew at this visit the answer follows the grade, and the note stays.
    const now = finding({ grade: 2, answer: 'same', note: 'by the nail', since: '2026-06-01' })
    expect(withTap([now], tap(grade), before, 'new', '2026-11-23')).toEqual([{ ...now, grade, answer }])
  })

  it('takes back only what was tapped', () => {
    const other = finding({ id: 'other', kind: 'rot', place: 'frog' })
    expect(withTap([before, other], tap(null), before, 'new', '2026-11-23')).toEqual([other])
  })
})

describe('endProportion', () => {
  it('is bearing ahead of the widest part over bearing behind it (hand-worked)', () => {
    // 66 - 6 = 60 ahead; 130 - 4 - 66 = 60 behind.
    expect(endProportion({ breakover: 6, widest: 66, heelEnds: -4 }, 130)).toBe(1)
  })
  it('says nothing from readings that are missing or cannot be', () => {
    expect(endProportion({ breakover: 6, widest: 66 }, 130)).toBeUndefined()
    expect(endProportion({ breakover: 70, widest: 66, heelEnds: 0 }, 130)).toBeUndefined()
    expect(endProportion({ breakover: 6, widest: 66, heelEnds: -60 }, 120)).toBeUndefined()
  })
})

describe('gates', () => {
  it.each(FINDING_KINDS.filter((kind) => 'vetFrom' in kind))(
    '$key calls for the vet from its grade on, not before',
    ({ key }) => {
      const { vetFrom, parts } = findingKind(key)
      const place = PLACES.find(({ part }) => part === parts[0])!.key
      const at = (grade: number) => gatesOf(withFindings([finding({ kind: key, place, grade })]))
      expect(at(vetFrom!)).toHaveLength(1)
      expect(at(vetFrom!)[0]!.action).toMatch(/vet|radiograph/i)
      if (vetFrom! > 1) expect(at(vetFrom! - 1)).toHaveLength(0)
    },
  )

  it('opens when acknowledged, closes again when the finding is worse, and asks nothing of what is gone', () => {
    const look = withFindings([finding({ kind: 'pain', place: 'toe-sole', grade: 2 })])
    const [gate] = closedGates(look)
    const acknowledged = [{ gate: gate!.key, title: gate!.title, words: '', at: '2026-09-01T10:00:00.000Z' }]
    expect(closedGates({ ...look, acknowledged })).toHaveLength(0)
    const worse = withFindings([finding({ kind: 'pain', place: 'toe-sole', grade: 3 })])
    expect(closedGates({ ...worse, acknowledged })).toHaveLength(1)
    expect(gatesOf(withFindings([finding({ kind: 'pain', grade: 3, answer: 'gone' })]))).toHaveLength(0)
  })

  it('is not read out again at the next visit while the finding stands as it did; whether a shoe may go on is asked', () => {
    const found = withFindings([finding({ kind: 'track', place: 'toe-sole', grade: 3 })])
    const [gate] = closedGates(found)
    const answer = {
      gate: gate!.key,
      title: gate!.title,
      words: 'Surgery told',
      at: '2026-09-01T10:00:00.000Z',
    }
    const before = { ...found, acknowledged: [{ ...answer, allows: 'shoe' as const }] }
    expect(beforeShoe(before, 'LF')).toEqual([])
    const now = newLook(ID, ID, before)
    expect(now.acknowledged).toEqual([answer])
    expect(closedGates(now)).toEqual([])
    expect(beforeShoe(now, 'LF')).toEqual([
      expect.objectContaining({ state: 'no shoe', words: 'Surgery told' }),
    ])
    // Nobody read it then: it is read now.
    expect(closedGates(newLook(ID, ID, found))).toHaveLength(1)
    // Gone, there is nothing left to read.
    const gone = withFindings([finding({ kind: 'track', place: 'toe-sole', grade: 3, answer: 'gone' })], now)
    expect(newLook(ID, ID, gone).acknowledged).toEqual([])
  })

  it('asks who made a diagnosis', () => {
    const look = newLook(ID, ID)
    expect(gatesOf({ ...look, vet: { ...look.vet, diagnosis: 'founder' } })).toHaveLength(1)
    expect(gatesOf({ ...look, vet: { ...look.vet, diagnosis: 'founder', who: 'Dr Ebb' } })).toHaveLength(0)
  })
})

describe('kinds and places', () => {
  it('has something to find in every part, and no key twice', () => {
    for (const { part } of PLACES) expect(kindsFor(part).length).toBeGreaterThan(0)
    expect(new Set(FINDING_KINDS.map(({ key }) => key)).size).toBe(FINDING_KINDS.length)
  })
  it('refuses a finding that no kind or place knows', () => {
    const look = withFindings([finding({})])
    expect(lookSchema.safeParse(look).success).toBe(true)
    for (const wrong of [
      { kind: 'colic' },
      { place: 'knee' },
      { grade: 0 },
      { grade: 5 },
    ] as Partial<Finding>[])
      expect(lookSchema.safeParse(withFindings([finding(wrong)])).success).toBe(false)
  })
})

describe('placeAreas', () => {
  const area = (edge: readonly Vec[]): number =>
    Math.abs(
      edge.reduce((sum, [x, y], i) => {
        const [u, v] = edge[(i + 1) % edge.length]!
        return sum + (x * v - u * y) / 2
      }, 0),
    )

  it('gives every place but the whole foot an area a thumb can hit, inner and outer alike, for any foot', () =>
    fc.assert(
      fc.property(anyFoot, (input) => {
        const read = readFoot({ ...input, lateralHalfWidth: input.width / 2, quarterLead: 0 })
        if (!read.ok) throw new Error('no foot')
        const { foot } = read.value
        const outline = footOutline(foot)
        const areas = placeAreas(foot, outline, landmarks(foot, outline))
        expect(areas.map(({ place }) => place).sort()).toEqual(
          PLACES.filter(({ key }) => key !== 'foot')
            .map(({ key }) => key)
            .sort(),
        )
        for (const { place, edge } of areas) {
          expect(area(edge)).toBeGreaterThan(foot.width * foot.width * 0.004)
          const twin = areas.find((other) => other.place === place.replace('outer', 'inner'))!
          expect(area(twin.edge)).toBeCloseTo(area(edge), 0)
        }
      }),
      { numRuns: 30 },
    ))
})

describe('wear by a tap', () => {
  it('is a share of the bar, and comes back as the share that was tapped', () => {
    // Half of 5/16 in is 5/32 in.
    expect(leftOf(7.9375, 'half')).toBeCloseTo(3.96875, 9)
    expect([leftOf(10, 'all'), leftOf(10, 'none')]).toEqual([10, 0])
    for (const { key } of WEAR_SHARES) expect(shareLeft(leftOf(7.9375, key), 7.9375)).toBe(key)
    expect(shareLeft(5, 7.9375)).toBeUndefined()
    expect(shareLeft(undefined, 7.9375)).toBeUndefined()
  })
})
