import { expect, it } from 'vitest'
import { madeLimb, USUAL_LIMB } from '../made-up/limb'
import { MODIFICATIONS } from '../modifications/index'
import { radiographFigures } from './figures'
import { CARRIED_OUT, footFromRadiograph } from './hand-over'
import { trimPlan } from './trim-plan'

const points = madeLimb(
  { ...USUAL_LIMB, palmarAngle: 1, soleTip: 16 },
  { mmPerPixel: 0.2, turn: 0, looksLeft: false },
)
const plan = trimPlan(points, 0.2, { palmarAngle: 6, soleDepth: 15, behindTip: 4 })!
const put = (key: string) => CARRIED_OUT.find((way) => way.key === key)!.put(plan)!

it('the foot takes over what was read, to a tenth, and nothing that was not', () => {
  const foot = footFromRadiograph(radiographFigures(points, 0.2))
  expect(foot).toMatchObject({ palmarAngle: 1, soleDepth: 16 })
  // By hand: the wall lies 17 mm square out from the tip at 52 degrees and meets the ground 16 mm below it.
  const byHand = 17 / Math.sin((52 * Math.PI) / 180) + 16 / Math.tan((52 * Math.PI) / 180)
  expect(foot.tipFromToe).toBeCloseTo(byHand, 1)
  const { W1: _wall, ...others } = points
  expect(footFromRadiograph(radiographFigures(others, 0.2))).toEqual({ palmarAngle: 1, soleDepth: 16 })
})

it('what the trim cannot bring the shoe does, in whichever way it is made', () => {
  // 120 mm of bearing from 1 to 6 degrees, less what one millimetre of sole gives.
  expect(plan.raise).toBeGreaterThan(8)
  expect(plan.palmarAfterShoe).toBeCloseTo(6, 6)
  expect(put('wedge')).toEqual({ kind: 'wedge', values: { rise: Math.round(plan.raise * 10) / 10 } })
  const over = Math.round(plan.breakoverFromToe! * 10) / 10
  expect(put('rocker-toe')).toEqual({ kind: 'rocker-toe', values: { behindToe: over } })
  expect(put('four-rail-plate').values).toEqual({ behindToe: over, rail: put('wedge').values['rise'] })
  expect(put('breakover')).toBeUndefined()
})

it('puts on only figures that the modification has', () => {
  for (const { put: by } of CARRIED_OUT) {
    const { kind, values } = by(plan) ?? {}
    if (!kind) continue
    const fields = MODIFICATIONS.find((one) => one.kind === kind)!.fields.map(({ key }) => key)
    for (const key of Object.keys(values!)) expect(fields).toContain(key)
  }
})
