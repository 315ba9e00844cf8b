import { TestBed } from '@angular/core/testing'
import type { Size } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { HttpErrorResponse } from '@angular/common/http'
import { provideRouter } from '@angular/router'
import { Api } from '../../state/api'
import { benchActions, benchFeature } from '../../state/bench/bench.feature'
import { SizeTable } from '../../state/size-table'
import { settingsActions } from '../../state/settings/settings.feature'
import { PAGE, show, STORE } from '../../testing'
import { SizeOver } from './size/size-over'
import { SizePanel } from './size/size-panel'
import { BendsView } from './try/bends-view'
import { OnFoot } from './try/on-foot'
import { TryPanel } from './try/try-panel'

const holes = [36, 56, 76].map((fromToe) => ({ fromToe, inset: 9 }))
const size = (length: number, more: Partial<Size> = {}): Size => ({
  ...{ id: `size-${length}`, version: 1, range: 'Everyday', label: String(length), kind: 'creased-steel' },
  ...{ feet: 'front', web: 20, thickness: 8, length, holes: { lateral: holes, medial: holes } },
  ...{ lengthDerived: false, price: null, onVan: 2, keepOnVan: 1, archived: false },
  ...more,
})
const state = () => TestBed.inject(Store).selectSignal(benchFeature.selectBenchState)()
const shoe = () => state().drafts!.LF.shoe

let sizes: () => unknown

beforeEach(() => {
  sizes = () => of([size(310), size(335), size(365)])
  TestBed.configureTestingModule({
    providers: [...STORE, provideRouter([]), { provide: Api, useValue: { sizes: () => sizes() } }],
  })
  const store = TestBed.inject(Store)
  store.dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
  store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
  store.dispatch(benchActions.copyLast())
})

describe('SizePanel', () => {
  it('lists the sizes with what each needs and why, and lays the one that is taken on the Bench', async () => {
    const { element, text, press, fixture } = await show(SizePanel)
    await fixture.whenStable()
    const cards = () => [...element.querySelectorAll('cr-size-card')]
    expect(cards()[0]!.textContent).toContain('335')
    expect(cards()[0]!.querySelector('[data-testid=need]')!.textContent).toMatch(/as it is|open|close/)
    expect(text()).toContain('too much heel')
    await press('Use it')
    expect(shoe().stock).toMatchObject({ kind: 'size', sizeId: 'size-335' })
    expect(shoe().stock!.facts.label).toBe('Everyday 335')
    expect(shoe().stock!.facts).not.toHaveProperty('onVan')
    expect(shoe().section).toEqual({ shape: 'flat', width: 20, thickness: 8, material: 'steel' })
    expect(shoe().nails!.lateral).toEqual({ driven: [1, 2, 3] })
    expect(cards()[0]!.textContent).toContain('On the Bench')
    await press('Make it by hand instead')
    expect(shoe().stock).toBeUndefined()
  })

  it('leaves behind what is made while a bar is straight, and undo brings it back', async () => {
    const store = TestBed.inject(Store)
    const modifications = [{ kind: 'crease' }, { kind: 'toe-clip' }]
    store.dispatch(benchActions.setShoe({ shoe: { ...shoe(), modifications }, touched: 'mod.crease' }))
    store.dispatch(benchActions.settle())
    const { press, fixture } = await show(SizePanel)
    await fixture.whenStable()
    await press('Use it')
    expect(shoe().modifications).toEqual([{ kind: 'toe-clip' }])
    store.dispatch(benchActions.undo())
    expect(shoe().modifications).toEqual(modifications)
  })

  it('says what to do where there is no table, and tries again where it could not be read', async () => {
    sizes = () => throwError(() => new HttpErrorResponse({ status: 0 }))
    const failed = await show(SizePanel)
    await failed.fixture.whenStable()
    expect(failed.text()).toContain('The server does not answer')
    sizes = () => of([])
    await failed.press('Try again')
    expect(failed.text()).toContain('No factory sizes are in your table yet')
  })

  it('says when none fits, and what a shoe made by hand takes', async () => {
    sizes = () => of([size(200)])
    const { text, fixture } = await show(SizePanel)
    await fixture.whenStable()
    expect(text()).toContain('None of your sizes can be laid on this foot')
    expect(text()).toMatch(/Made by hand of .*: cut 1\d/)
  })
})

describe('SizeOver', () => {
  it('draws the first choice with its holes, another over it, and tells what to measure', async () => {
    const table = TestBed.inject(SizeTable)
    await table.read()
    const { element, text, fixture } = await show(SizeOver)
    expect(element.querySelectorAll('svg rect')).toHaveLength(6)
    expect(element.querySelector('.theirs')).toBeNull()
    expect(text()).toMatch(/Width, outside ?[\d /]+" ?[\d /]+"/)
    const panel = await show(SizePanel)
    await panel.fixture.whenStable()
    await panel.press('Lay over')
    await fixture.whenStable()
    expect(element.querySelector('.theirs')).not.toBeNull()
  })
})

describe('TryPanel and BendsView', () => {
  it('plans from what was seen on the foot, and steps through it', async () => {
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    expect(view.text()).toContain('When it is right it measures')
    await panel.press('On the foot')
    for (let i = 0; i < 3; i++) await panel.press('Tighter at the heel, outer')
    await view.fixture.whenStable()
    expect(panel.text()).toContain('3/8" tight')
    const bends = () => [...view.element.querySelectorAll('[data-testid=bends] li')]
    expect(bends().length).toBeGreaterThan(0)
    expect(
      bends()
        .map((one) => one.textContent)
        .join(),
    ).toMatch(/Open [\d.]+°, outer branch/)
    const before = view.element.querySelector('.now')!.getAttribute('d')
    await view.press('Make bend 1')
    expect(view.element.querySelector('.now')!.getAttribute('d')).not.toBe(before)
    expect(bends()[0]!.classList.contains('done')).toBe(true)
    // What was seen is a change like any other.
    TestBed.inject(Store).dispatch(benchActions.undo())
    await panel.fixture.whenStable()
    expect(panel.text()).toContain('1/4" tight')
    await panel.press('Another try: clear')
    await view.fixture.whenStable()
    expect(bends()).toHaveLength(0)
  })

  it('plans the first shaping of a factory shoe from the box', async () => {
    const sizes = await show(SizePanel)
    await sizes.fixture.whenStable()
    await sizes.press('Use it')
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    await panel.press('From the box')
    await view.fixture.whenStable()
    expect(view.element.querySelectorAll('[data-testid=bends] li').length).toBeGreaterThan(0)
    expect(view.text()).toMatch(/off now/)
  })

  it('reads the shoe on the foot: what is right and what is not', async () => {
    const store = TestBed.inject(Store)
    const anvil = { by: 'tape' as const, seen: [], onFoot: { roomLateral: 0.6, roomMedial: 3, toeOff: 0 } }
    store.dispatch(benchActions.setAnvil({ anvil, touched: 'anvil.toeOff' }))
    const { element } = await show(OnFoot)
    const checks = [...element.querySelectorAll('[data-testid=checks] li')]
    expect(checks.map((one) => one.classList.contains('wrong'))).toEqual([true, false, false])
    expect(checks[0]!.textContent).toContain('less than a coin')
    expect(checks[2]!.textContent).toContain('Square')
  })
})
