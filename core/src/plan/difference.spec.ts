import { describe, expect, it } from 'vitest'
import { clearOfFindings } from '../look/keep-clear'
import { ADVICE_RULES } from '../advice/rules/index'
import { footOutline } from '../foot/outline'
import { regionsOf } from '../foot/regions'
import { planShoe } from './plan'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE } from '../testing/samples'
import { differences } from './difference'
import { forgingOrder, FORGING_STAGES, fromBar } from '../modifications/forging'
import { made, shoeWith, inMm } from '../testing/made'
import { PLAIN_SHOE } from '../shoe/starting-shoe'
import { TEMPLATES, templatesFor } from './templates'

const design = (shoe: ShoeInput) => ({ shoe, plan: planShoe(FIVE_BY_FIVE, shoe) })

describe('two designs', () => {
  it('that are alike differ in nothing', () => {
    const one = design(shoeWith([{ kind: 'wedge' }]))
    expect(differences(one, one)).toEqual([])
  })

  it('differ in each thing that was changed, and in what follows from it', () => {
    const one = design(
      shoeWith([
        { kind: 'wedge', rise: 5 },
        { kind: 'crease', style: 'full' },
      ]),
    )
    const other = design({
      ...shoeWith([{ kind: 'wedge', rise: 8 }, { kind: 'crease', style: 'quarter' }, { kind: 'toe-clip' }], {
        fit: 'general',
      }),
      section: { ...PLAIN_SHOE.section, thickness: 9.525 },
      nails: { lateral: [1, 2], school: 'laminitic' },
    })
    const found = new Map(differences(one, other).map((each) => [each.what, each]))
    expect(found.get('Wedge, rise at the heels')).toMatchObject({ kind: 'length', one: 5, other: 8 })
    expect(found.get('Toe clip')).toMatchObject({ one: 'none', other: 'made' })
    expect(found.get('Crease, runs')).toMatchObject({ one: 'full', other: 'quarter' })
    expect(found.get('Thickness of the bar')).toMatchObject({ kind: 'length' })
    expect(found.get('Fit')).toMatchObject({ one: 'Conservative', other: 'General' })
    expect(found.get('Outer nails')).toMatchObject({ one: '1, 2, 3', other: '1, 2' })
    expect(found.get('Nailed as')).toMatchObject({ other: 'Laminitic foot' })
    expect(found.has('Cut')).toBe(true)
    expect(found.has('Width of the bar')).toBe(false)
  })

  it('the other way round differ in the same things', () => {
    const [one, other] = [design(shoeWith([{ kind: 'egg-bar' }])), design(shoeWith([]))]
    const names = (list: ReturnType<typeof differences>) => list.map(({ what }) => what)
    expect(names(differences(one, other))).toEqual(names(differences(other, one)))
  })
})

describe('the order of forging', () => {
  it('is kept whatever is chosen, and in whatever order', () => {
    const kinds = ['boxing', 'egg-bar', 'toe-clip', 'crease', 'wedge', 'studs']
    for (const order of [kinds, [...kinds].reverse()]) {
      const { forging } = made(order.map((kind) => ({ kind })))
      const ranks = forging.map(({ stage }) => FORGING_STAGES.indexOf(stage))
      expect([...ranks].sort((a, b) => a - b)).toEqual(ranks)
      expect(inMm(forging[0]!.text)).toContain('middle of the toe')
      const at = (words: string) => forging.findIndex(({ text }) => inMm(text).includes(words))
      // Clips before the bar is shaped, holes after the bar is closed.
      expect(at('toe clip')).toBeLessThan(at('Bend the toe first'))
      expect(at('weld in the middle')).toBeGreaterThan(at('Turn the heels'))
      expect(at('Crease before')).toBeLessThan(at('Stamp the holes'))
    }
    expect(forgingOrder([], fromBar({ lateral: 150, medial: 150 })).length).toBeGreaterThan(4)
  })

  it('never says the middle of the bar where the toe lies elsewhere', () => {
    const { forging, iron } = made([{ kind: 'trailer' }], { fit: 'general' })
    const first = inMm(forging[0]!.text)
    expect(first).not.toContain('centre-punch its middle')
    expect(iron.branches.lateral).toBeGreaterThan(iron.branches.medial)
    expect(first).toContain('nearer the inner end')
    expect(inMm(made([], { fit: 'general' }).forging[0]!.text)).toContain('centre-punch its middle')
  })
})

describe('templates', () => {
  it.each(TEMPLATES.map(({ key }) => key))('%s can be made for a usual foot', (key) => {
    const { shoe } = TEMPLATES.find((one) => one.key === key)!
    const { section = PLAIN_SHOE.section, ...rest } = shoe
    const plan = planShoe(
      { ...FIVE_BY_FIVE, frogApex: 36, tipFromToe: 40, tipBy: 'radiograph' },
      { section, ...rest },
    )
    expect(plan.modifications.length).toBeGreaterThan(0)
    expect(plan.cautions.filter(({ severity }) => severity === 'stop')).toEqual([])
  })

  it('are called for by advice that exists, and those come first', () => {
    const known = ADVICE_RULES.map(({ code }) => code)
    for (const { suits } of TEMPLATES) for (const code of suits) expect(known).toContain(code)
    const [first] = templatesFor(['sliding-fit'])
    expect(first).toMatchObject({ because: ['sliding-fit'] })
    expect(first!.template.key).toBe('slider')
    expect(templatesFor([])[0]!.template.key).toBe('plain')
  })
})

describe('what the look keeps nails clear of', () => {
  const plan = made([])
  const outline = footOutline(plan.foot)

  it('separated and broken wall over its whole place, a crack in the middle of it', () => {
    const findings = [
      { kind: 'separation', place: 'outer-quarter', grade: 2 },
      { kind: 'crack', place: 'inner-toe-quarter', grade: 1 },
    ] as const
    const [separated, crack] = clearOfFindings(findings, outline)
    const quarter = regionsOf(outline).find(({ half, region }) => half === 'lateral' && region === 'quarter')!
    expect(separated).toMatchObject({ why: 'separated wall', half: 'lateral', look: true })
    expect(separated!.width).toBeCloseTo(Math.abs(quarter.to - quarter.from), 9)
    expect(crack).toMatchObject({ why: 'crack', half: 'medial' })
    expect(crack!.width).toBeLessThan(separated!.width)
  })

  it('nothing of what is slight, of the toe, or of the sole', () => {
    const findings = [
      { kind: 'separation', place: 'outer-quarter', grade: 1 },
      { kind: 'crack', place: 'toe-wall', grade: 3 },
      { kind: 'bruise', place: 'outer-sole', grade: 3 },
    ] as const
    expect(clearOfFindings(findings, outline)).toEqual([])
  })
})
