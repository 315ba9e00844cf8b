import { describe, expect, it } from 'vitest'
import type { Plan } from '../plan/plan'
import { made, type Asked, type Given } from '../testing/made'

const LIGHT = { thickness: 6.35 }
const severity = (plan: Plan, code: string) => plan.cautions.find((one) => one.code === code)?.severity
const of = (code: string, modifications: Given, asked: Asked = {}) =>
  severity(made(modifications, asked), code)

describe('nails on one side', () => {
  const nails = (lateral: number[], medial: number[]) => ({ nails: { lateral, medial } })
  it.each([
    [[1, 2, 3, 4], [], 'stop'],
    [[], [1, 2], 'stop'],
    [[1, 2, 3, 4], [1, 2], 'caution'],
    [[1, 2, 3, 4], [1, 2, 3], undefined],
    [[1, 2], [1, 2], undefined],
  ] as const)('%j outside and %j inside: %s', (outer, inner, said) => {
    expect(of('nails-one-sided', [], nails([...outer], [...inner]))).toBe(said)
  })
})

describe('a heel expander', () => {
  const expander = (values: object = {}) => [{ kind: 'hinged-expander', ...values }] as Given
  const bar = { section: LIGHT }
  it('with nails behind the widest part is stopped: they hold what is to open', () => {
    const behind = { lateral: { each: [{ number: 4, fromToe: 122 }] }, medial: { driven: [1, 2, 3] } }
    const driven = { ...behind, lateral: { ...behind.lateral, driven: [1, 2, 4] } }
    expect(of('expander-heel-nails', expander(), { ...bar, nails: driven })).toBe('stop')
    expect(of('expander-heel-nails', expander(), bar)).toBeUndefined()
  })

  it('opened by more than a set is warned of, by more than an inch stopped', () => {
    const far = (bars: number, step: number) => of('expander-far', expander({ bars, step }), bar)
    expect([far(4, 3.175), far(6, 3.175), far(8, 4)]).toEqual([undefined, 'caution', 'stop'])
  })

  it('on heels that are as wide as usual is asked about', () => {
    const wide = (heelWidth: number) =>
      of('expander-not-contracted', expander(), { ...bar, foot: { heelWidth } })
    expect([wide(88.9), wide(75)]).toEqual(['caution', undefined])
  })
})

describe('a bar thicker than its shoe', () => {
  it('stands out of it: warned of, and stopped where it is half as thick again', () => {
    const proud = (kind: string, thickness: number) =>
      of('bar-proud', [{ kind, thickness }], { section: { thickness: 8 }, foot: { frogApex: 38 } })
    expect([proud('heart-bar', 16), proud('straight-bar', 16)]).toEqual(['stop', 'stop'])
    expect([proud('heart-bar', 10), proud('heart-bar', 8), proud('heart-bar', 6)]).toEqual([
      'caution',
      undefined,
      undefined,
    ])
  })
})

describe('P3 raised that stands steep already', () => {
  const high = (palmarAngle: number, rise: number) =>
    of('palmar-angle-high', rise > 0 ? [{ kind: 'wedge', rise }] : [], { foot: { palmarAngle } })
  it('12 degrees and a wedge of 10 mm is a stop; what stays within the usual is none', () => {
    expect(high(12, 10)).toBe('stop')
    expect(high(8, 8)).toBe('caution')
    expect(high(3, 8)).toBeUndefined()
    // A steep bone on a flat shoe is the vet's to speak of, not this rule's.
    expect(high(12, 0)).toBeUndefined()
  })
})
