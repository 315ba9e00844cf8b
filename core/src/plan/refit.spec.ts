import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyFoot } from '../testing/any-foot'
import { tryPlan } from '../testing/fuzz/any-plan'
import type { ShoeInput } from '../records/shoe'
import { FIVE_BY_FIVE } from '../testing/samples'
import { planShoe } from './plan'
import { designName, modificationWords } from './design-name'
import { mirroredDesign } from './mirrored-design'
import { refit } from './refit'
import { PLAIN_SHOE } from '../shoe/starting-shoe'

const rolled: ShoeInput = {
  ...PLAIN_SHOE,
  modifications: [
    { kind: 'rolled-toe', behindToe: 10 },
    { kind: 'wedge', rise: 6 },
  ],
  nails: {
    school: 'sound',
    lateral: { holes: 4, driven: [1, 2], first: 30, each: [{ number: 1, seen: 20 }] },
  },
}

describe('a design taken up for another foot', () => {
  it('grows with it where it is of the foot, stays where it is of the bar', () => {
    const bigger = { ...FIVE_BY_FIVE, width: 152.4, length: 152.4, heelWidth: 106 }
    const { modifications, nails } = refit(rolled, FIVE_BY_FIVE, bigger)
    expect(modifications).toEqual([
      { kind: 'rolled-toe', behindToe: expect.closeTo(12, 9) as number },
      { kind: 'wedge', rise: 6 },
    ])
    // Holes lie where the school puts them on this foot; exits were seen on the other horse.
    expect(nails).toEqual({ school: 'sound', lateral: { holes: 4, driven: [1, 2] } })
    expect(refit(rolled, FIVE_BY_FIVE, undefined).modifications).toEqual(rolled.modifications)
  })

  it('leaves webs, creases and what is upset as they are: only what is laid out on the foot grows', () => {
    const bigger = { ...FIVE_BY_FIVE, width: 152.4, length: 152.4, heelWidth: 106 }
    const grown = (modifications: NonNullable<ShoeInput['modifications']>) =>
      refit({ ...PLAIN_SHOE, modifications }, FIVE_BY_FIVE, bigger).modifications
    const bar: NonNullable<ShoeInput['modifications']> = [
      { kind: 'slide-shoe', toeWeb: 20, heelWeb: 14 },
      { kind: 'crease', fromRim: 9, mouth: 6 },
    ]
    expect(grown(bar)).toEqual(bar)
    const [turned] = grown([{ kind: 'trailer', length: 25, upset: 8 }])!
    expect(turned).toEqual({ kind: 'trailer', length: expect.closeTo(30, 9) as number, upset: 8 })
  })

  it('is within what is possible on any foot', () =>
    fc.assert(
      fc.property(anyFoot, (foot) => {
        const shoe = refit(rolled, FIVE_BY_FIVE, foot)
        const plain = tryPlan({ foot, shoe: { ...shoe, modifications: [] } })
        if (!plain) return
        const plan = tryPlan({ foot, shoe })
        expect(plan).toBeDefined()
      }),
      { numRuns: 25 },
    ))
})

describe('the name of a design', () => {
  it('begins with what makes it other than plain', () => {
    expect(designName(PLAIN_SHOE, '')).toBe('General 3/4 x 5/16')
    expect(designName(rolled, '')).toBe('Rolled toe, wedge, general 3/4 x 5/16')
    const odd = { ...PLAIN_SHOE, section: { ...PLAIN_SHOE.section, width: 20 }, fit: { spread: 1 } }
    expect(designName(odd, '20 x 8 mm')).toBe('Own fit 20 x 8 mm')
    expect(modificationWords(PLAIN_SHOE)).toBe('')
  })
})

describe('a design for a mirrored foot', () => {
  it('changes the sides of nails and keeps what is made for one side of the horse', () => {
    const { lateral } = rolled.nails!
    const design: ShoeInput = { ...rolled, modifications: [{ kind: 'trailer' }] }
    const turned = mirroredDesign(design)
    expect(turned.nails).toEqual({ school: 'sound', medial: lateral })
    expect(turned.modifications).toEqual(design.modifications)
    expect(mirroredDesign(turned)).toEqual(design)
    expect(mirroredDesign(PLAIN_SHOE)).toEqual(PLAIN_SHOE)
  })

  it('lies on the mirrored foot as the design lies on its own, nail for nail', () => {
    const foot = { ...FIVE_BY_FIVE, lateralHalfWidth: 66, quarterLead: 4 }
    const other = { ...foot, lateralHalfWidth: foot.width - 66, quarterLead: -4 }
    const design: ShoeInput = { ...PLAIN_SHOE, nails: { lateral: { holes: 4 }, medial: { holes: 3 } } }
    const [one, two] = [planShoe(foot, design), planShoe(other, mirroredDesign(design))]
    const of = (plan: typeof one, half: 'lateral' | 'medial') =>
      plan.nails.filter(({ branch }) => branch === half).map(({ fromToe }) => fromToe)
    expect(of(two, 'medial')).toHaveLength(4)
    of(one, 'lateral').forEach((fromToe, i) => expect(of(two, 'medial')[i]).toBeCloseTo(fromToe, 0))
    expect(two.iron.cutLength).toBeCloseTo(one.iron.cutLength, 1)
  })
})
