import { TestBed } from '@angular/core/testing'
import type { Vec } from '@crescent/core'
import type { RadiographPointKey } from '@crescent/core/radiographs'
import { Store } from '@ngrx/store'
import { beforeEach, describe, expect, it } from 'vitest'
import { benchActions, benchFeature } from '../../../../state/bench/bench.feature'
import { lookActions, lookFeature } from '../../../../state/look/look.feature'
import { PAGE, STORE } from '../../../../testing/samples'
import type { OpenedPlate, PlateAsked } from './plate-work'
import { PlateReader } from './plate-reader'
import { Radiograph } from './radiograph'

const window = { centre: 100, width: 200 }
const opened: OpenedPlate = {
  ...{ ok: true, width: 1200, height: 960, inverted: false, told: [] },
  ...{
    windows: { file: window, usual: window, whole: window },
    scale: { by: 'calibrated', mmPerPixel: 0.2 },
  },
}
/** Everything for a plan: ground along 800, 160 mm of bearing, the underside of P3 level, 14 mm of sole under it. */
const AT: Partial<Record<RadiographPointKey, Vec>> = {
  ...{ G1: [1100, 800], G2: [100, 800], B: [1000, 800], H: [200, 800] },
  ...{ T: [850, 725], U: [550, 725], S1: [850, 800], S2: [550, 800] },
  ...{ W1: [750, 500], W2: [950, 750] },
}
let asked: PlateAsked[]
let problem: string | undefined
/** Pictures wait until they are let go. */
let waiting: (() => void)[]
let held: boolean
const reader = {
  ask: (what: PlateAsked) => {
    asked.push(what)
    if (what.do !== 'show') return Promise.resolve(problem ? { ok: false, problem } : opened)
    const answer = { ok: true, picture: { drawn: what.window, close: () => undefined } }
    return held ? new Promise((done) => waiting.push(() => done(answer))) : Promise.resolve(answer)
  },
}
const DICOM = new Uint8Array(200)
DICOM.set([68, 73, 67, 77], 128)
const file = (bytes: Uint8Array, name = 'a.dcm') => new File([bytes as Uint8Array<ArrayBuffer>], name)

let radiograph: Radiograph
let store: Store
beforeEach(() => {
  asked = []
  waiting = []
  held = false
  problem = undefined
  TestBed.configureTestingModule({ providers: [...STORE, { provide: PlateReader, useValue: reader }] })
  store = TestBed.inject(Store)
  store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  store.dispatch(benchActions.copyLast())
  store.dispatch(
    lookActions.opened({ visitId: 'visit', stored: null, before: null, kept: undefined, newId: 'new' }),
  )
  radiograph = TestBed.inject(Radiograph)
})
const draft = () => store.selectSignal(benchFeature.selectDraft)()!
const mark = () => {
  for (const [key, at] of Object.entries(AT)) radiograph.set(key as RadiographPointKey, at)
  radiograph.scaleBy('file')
}

describe('the radiograph of a foot', () => {
  it('is refused in words before anything is unpacked, and what was open stays', async () => {
    await radiograph.take(file(DICOM))
    await radiograph.take(file(new TextEncoder().encode('a text, and no picture at all'), 'b.jpg'))
    expect(radiograph.failure()).toContain('no radiograph')
    expect(asked.filter((what) => what.do === 'open')).toHaveLength(1)
    expect(radiograph.plate()!.name).toBe('a.dcm')
    problem = 'The radiograph is damaged.'
    await radiograph.take(file(DICOM, 'c.dcm'))
    expect([radiograph.failure(), radiograph.plate()!.name]).toEqual([problem, 'a.dcm'])
  })

  it('is each foot’s own, and is opened again where another was looked at in between', async () => {
    await radiograph.take(file(DICOM))
    radiograph.tap([5, 6])
    store.dispatch(benchActions.chooseSide({ side: 'RF' }))
    expect(radiograph.plate()).toBeUndefined()
    await radiograph.practise()
    store.dispatch(benchActions.chooseSide({ side: 'LF' }))
    expect(radiograph.plate()!.points.G1).toEqual([5, 6])
    asked = []
    await radiograph.show({ centre: 50, width: 60 }, true)
    expect(asked.map((what) => what.do)).toEqual(['open', 'show'])
    expect(asked[1]).toMatchObject({ window: { centre: 50, width: 60 }, inverted: true })
    radiograph.close()
    expect(radiograph.plate()).toBeUndefined()
  })

  it('plans once it is marked and scaled, and lets the shoe bring what the sole does not allow', async () => {
    await radiograph.take(file(DICOM))
    for (const [key, at] of Object.entries(AT)) radiograph.set(key as RadiographPointKey, at)
    expect(radiograph.plan()).toBeUndefined()
    radiograph.scaleBy('file')
    // 15 mm under the tip, all of it wanted: nothing is taken, and 5 degrees over 160 mm come from the shoe.
    expect(radiograph.plan()!.trimToe).toBeCloseTo(0, 9)
    expect(radiograph.plan()!.raise).toBeCloseTo(5, 9)
    radiograph.want({ palmarAngle: 2 })
    expect(radiograph.plan()!.palmarAfterShoe).toBeCloseTo(2, 9)
    expect(radiograph.lines('palmarAngle').filter(({ kind }) => kind === 'edge')).toHaveLength(1)
  })

  it('goes to the foot: angle, sole and the tip’s place, by radiograph', async () => {
    await radiograph.take(file(DICOM))
    mark()
    radiograph.toFoot()
    const { figures, tipBy } = draft().foot
    expect(figures).toMatchObject({ palmarAngle: 0, soleDepth: 15 })
    // By hand: the wall falls 250 and runs 200 forward; it meets the ground 40 pixels beyond its lower place.
    expect(figures.tipFromToe).toBeCloseTo((990 - 850) * 0.2, 6)
    expect(tipBy).toBe('radiograph')
  })

  it('goes to the shoe with what was agreed, once, and on record', async () => {
    await radiograph.take(file(DICOM))
    mark()
    radiograph.toShoe('wedge', 'Dr. Made-up: as planned')
    radiograph.toShoe('wedge', 'Dr. Made-up: once more')
    expect(draft().foot.school).toBe('radiographic')
    const handed = radiograph.handed('wedge')!
    const made = handed.ok ? handed.made : undefined
    expect(draft().shoe.modifications).toEqual([
      { kind: 'rolled-toe', behindToe: 28 },
      { kind: 'wedge', rise: made!.rise },
    ])
    // What was promised is what the plan of the shoe on the Bench says.
    const { balance, foot } = store.selectSignal(benchFeature.selectPlanning)().plan!
    expect(balance.raised).toBeCloseTo(5, 1)
    expect(foot.widestFromToe - balance.toeLever).toBeCloseTo(28, 0)
    const { acknowledged } = store.selectSignal(lookFeature.selectLook)()!
    expect(acknowledged.map(({ title, words }) => `${title}: ${words}`)).toEqual([
      'Plan from the radiograph, LF: Dr. Made-up: as planned',
      'Plan from the radiograph, LF: Dr. Made-up: once more',
    ])
  })

  it('does not go on a shoe where it clashes, and says why; what was handed over before goes', async () => {
    await radiograph.take(file(DICOM))
    mark()
    const on = (modifications: { kind: string }[]) =>
      store.dispatch(benchActions.setShoe({ shoe: { ...draft().shoe, modifications }, touched: 'x' }))
    on([{ kind: 'perimeter-bevel' }])
    expect(radiograph.handed('wedge')).toMatchObject({ ok: false })
    radiograph.toShoe('wedge', 'Dr. Made-up: as planned')
    expect(draft().shoe.modifications).toEqual([{ kind: 'perimeter-bevel' }])
    expect(store.selectSignal(lookFeature.selectLook)()!.acknowledged).toEqual([])
    on([{ kind: 'wedge' }, { kind: 'toe-clip' }])
    radiograph.toShoe('breakover', 'Dr. Made-up: no wedge any more')
    expect(draft().shoe.modifications!.map(({ kind }) => kind)).toEqual(['toe-clip', 'rolled-toe'])
  })

  it('what was agreed of the nails, and P3 that has come away, limit them from then on, in place of the last time', async () => {
    await radiograph.take(file(DICOM))
    mark()
    radiograph.toShoe('breakover', 'Dr. Made-up: no nails in the toe')
    const limits = () => draft().foot.limits!.map(({ rule, by }) => `${by}: ${rule}`)
    expect(limits()).toEqual(['vet: behind the widest part'])
    expect(store.selectSignal(benchFeature.selectPlanning)().plan!.nailing.school).toBe('laminitic')
    radiograph.toShoe('breakover', 'Dr. Made-up: nail as usual')
    expect(limits()).toEqual([])
  })

  it('leaves the school alone where the tip’s place behind the toe is not known', async () => {
    await radiograph.take(file(DICOM))
    const { W1: _high, W2: _low, ...others } = AT
    for (const [key, at] of Object.entries(others)) radiograph.set(key as RadiographPointKey, at)
    radiograph.scaleBy('file')
    const before = draft().foot.school
    radiograph.toShoe('breakover', 'Dr. Made-up: as planned')
    expect(draft().foot.school).toBe(before)
  })

  it('draws only the last of many windows that are asked for', async () => {
    await radiograph.take(file(DICOM))
    held = true
    asked = []
    const first = radiograph.show({ centre: 10, width: 5 }, false)
    await radiograph.show({ centre: 200, width: 5 }, false)
    await radiograph.show({ centre: 3000, width: 5 }, false)
    held = false
    waiting[0]!()
    await first
    expect(asked).toMatchObject([{ window: { centre: 10 } }, { window: { centre: 3000 } }])
    expect(radiograph.plate()!.window.centre).toBe(3000)
    expect(radiograph.picture()).toMatchObject({ drawn: { centre: 3000, width: 5 } })
  })
})
