import { TestBed } from '@angular/core/testing'
import { MatDialog } from '@angular/material/dialog'
import { MatSnackBar } from '@angular/material/snack-bar'
import { newLook, type FootFigureKey } from '@crescent/core'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { lookActions } from '../state/look/look.feature'
import { PAGE, show, STORE } from '../testing/samples'
import { bring, Brought } from './brought'
import { Desk } from './desk'
import { Keeping } from './keep/keeping'
import { STEPS } from './steps'
import { SavingAll } from './keep/saving-all'
import { Looking } from './steps/look/looking'
import { MAP } from './steps/map/step'
import { Forging } from './steps/iron/forging'
import { Mapping } from './steps/map/mapping'
import { NAIL } from './steps/nail/step'
import { SHOE } from './steps/shoe/step'
import { HorseCourses } from '../courses/horse-courses'
import { Shaping } from './steps/shoe/shaping'

const store = () => TestBed.inject(Store)
const desk = () => TestBed.inject(Desk)
const draft = () => store().selectSignal(benchFeature.selectDraft)()!
const setFigure = (key: FootFigureKey, value: number | undefined) =>
  store().dispatch(benchActions.setFigure({ key, value }))

beforeEach(() => {
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      ...[Desk, Forging, Keeping, Looking, Mapping, SavingAll, Shaping],
      {
        provide: HorseCourses,
        useValue: { open: () => undefined, list: () => [], running: () => [], failure: () => '' },
      },
      { provide: MatDialog, useValue: {} },
      { provide: MatSnackBar, useValue: {} },
    ],
  })
  store().dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  store().dispatch(benchActions.copyLast())
  const stored = { ...newLook('look', 'visit'), version: 1 }
  store().dispatch(
    lookActions.opened({ visitId: 'visit', stored, before: null, kept: undefined, newId: 'n' }),
  )
})

describe('Desk', () => {
  it('keeps the last plan that could be made in view, and says that it is not what is typed', () => {
    const width = desk().plan()!.foot.width
    expect(desk().stale()).toBe(false)
    setFigure('width', 400)
    expect(desk().plan()!.foot.width).toBe(width)
    expect(desk().stale()).toBe(true)
    expect(
      desk()
        .problems()
        .map(({ path }) => path),
    ).toContain('foot.width')
    // Of another foot nothing is shown.
    store().dispatch(benchActions.chooseSide({ side: 'RH' }))
    expect(desk().plan()).toBeUndefined()
  })

  it('tells what is only missing from what is wrong', () => {
    setFigure('length', undefined)
    expect(
      desk()
        .missing()
        .map(({ key }) => key),
    ).toEqual(['length'])
    expect(desk().problems()).toEqual([])
  })

  it('puts a pulled handle into the shoe, though the shoe of the moment cannot be made', () => {
    expect(desk().plan()).toBeDefined()
    desk().pull({ path: 'section.width', value: 400 })
    expect(draft().shoe.section.width).toBe(400)
    desk().pull({ path: 'section.width', value: 20 })
    expect(draft().shoe.section.width).toBe(20)
  })

  it('writes a pulled figure of the foot as it is taken: to the middle of the web a web less', () => {
    store().dispatch(benchActions.setHeelMeasure({ heelMeasure: 'middle of web' }))
    setFigure('heelWeb', 20)
    setFigure('heelWidth', 68)
    const heel = MAP.handles(desk().plan()!, desk().foot()!, false).find(({ id }) => id === 'heel-outer')!
    expect(heel.value).toBe(88)
    desk().pull({ path: heel.path, value: 90 })
    expect(draft().foot.figures.heelWidth).toBe(70)
  })

  it('offers the handles of the step that is open', () => {
    store().dispatch(
      benchActions.setShoe({
        shoe: { ...draft().shoe, modifications: [{ kind: 'wedge' }, { kind: 'toe-clip' }] },
        touched: 'modifications',
      }),
    )
    const paths = () =>
      desk()
        .handles()
        .map(({ path }) => path)
    desk().step.set(MAP)
    expect(paths()).toContain('foot.width')
    desk().landmarks.set(true)
    expect(paths()).toContain('foot.frogApex')
    desk().step.set(SHOE)
    expect(paths()).toContain('mod.toe-clip.width')
    // Seen from the side, not on the sole.
    expect(paths()).not.toContain('mod.wedge.rise')
    desk().step.set(NAIL)
    expect(paths()).toHaveLength(desk().plan()!.nails.length)
  })
})

describe('the steps', () => {
  it('have keys and letters of their own', () => {
    expect(new Set(STEPS.map(({ key }) => key)).size).toBe(STEPS.length)
    expect(new Set(STEPS.map(({ letter }) => letter)).size).toBe(STEPS.length)
  })

  const parts = STEPS.flatMap((step) => [
    { name: `${step.key}, panel`, step, part: step.panel },
    { name: `${step.key}, beside`, step, part: step.beside },
    ...step.views
      // The sole needs a browser that measures: it is tried in one.
      .filter(({ key, heavy }) => !heavy && key !== 'sole')
      .map(({ label, drawing }) => ({ name: `${step.key}, ${label}`, step, part: drawing })),
  ])
  it.each(parts)('can be shown: $name', async ({ step, part }) => {
    desk().step.set(step)
    const { element, fixture } = await show(Brought, { part })
    await bring(part)
    // What is in it may be brought in turn.
    await vi.waitFor(() => expect(element.textContent).not.toContain('Opening'))
    await fixture.whenStable()
    // The part is there, and there is something in it.
    expect(element.firstElementChild!.firstElementChild).not.toBeNull()
  })

  it('say so where a part cannot be fetched, and try again', async () => {
    let tries = 0
    const part = () => (tries++ === 0 ? Promise.reject(new Error('offline')) : STEPS[1]!.panel())
    const { element, fixture } = await show(Brought, { part })
    await fixture.whenStable()
    expect(element.textContent).toContain('could not be loaded')
    element.querySelector('button')!.click()
    await bring(part)
    await fixture.whenStable()
    expect(element.textContent).not.toContain('could not be loaded')
  })
})

describe('what is told while a hand pulls', () => {
  it('rests for a moment, follows, and is right as soon as the hand is lifted', async () => {
    const width = () => desk().told().plan!.foot.width
    const before = desk().plan()!.foot.width
    expect(width()).toBe(before)
    TestBed.tick()
    desk().pull({ path: 'foot.width', value: before + 1 })
    TestBed.tick()
    desk().pull({ path: 'foot.width', value: before + 3 })
    TestBed.tick()
    // The drawing is there at once.
    expect(desk().plan()!.foot.width).toBe(before + 3)
    expect(width()).not.toBe(before + 3)
    await vi.waitFor(() => expect(width()).toBe(before + 3))
    desk().pull({ path: 'foot.width', value: before + 2 })
    desk().settle()
    expect(width()).toBe(before + 2)
  })
})
