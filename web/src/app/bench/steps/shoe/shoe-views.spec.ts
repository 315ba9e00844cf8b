import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import { MODIFICATIONS, PLAIN_SHOE, type Handle, type Plan, type ShoeInput } from '@crescent/core'
import { Store } from '@ngrx/store'
import { benchActions } from '../../../state/bench/bench.feature'
import { settingsActions } from '../../../state/settings/settings.feature'
import { FOOT, PAGE, pattern, planOf, show, STORE } from '../../../testing/samples'
import { AgainstView } from './against-view'
import { CutView } from './cut-view'
import { GalleryDialog } from './gallery-dialog'
import { Looking } from '../look/looking'
import { TouchGuard } from '../../../drawing/touch-guard'
import { PullHandles } from '../../sole/pull-handles'
import { Desk } from '../../desk'
import { Shaping } from './shaping'
import { ShoeFace } from './shoe-face'
import { ShoeSide } from './shoe-side'

const wearing = (...kinds: string[]): Plan => planOf({}, { modifications: kinds.map((kind) => ({ kind })) })

const close = vi.fn()

beforeEach(() => {
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      Desk,
      Shaping,
      { provide: Looking, useValue: {} },
      { provide: MAT_DIALOG_DATA, useValue: { foot: FOOT, shoe: PLAIN_SHOE, side: 'LF' } },
      { provide: MatDialogRef, useValue: { close } },
      // The drawing that carries handles brings it.
      { provide: TouchGuard, useValue: {} },
    ],
  })
  const store = TestBed.inject(Store)
  store.dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
})

describe('ShoeFace', () => {
  it('shows on each face what is seen there, and on both what goes through', async () => {
    const plan = wearing('seating-out', 'safeing', 'studs', 'straight-bar')
    const { element, press } = await show(ShoeFace, { plan, side: 'LF' })
    const parts = () =>
      [...element.querySelectorAll('[data-part]')].map((part) => part.getAttribute('data-part'))
    expect(parts()).toEqual(
      expect.arrayContaining(['Safed inner edge', 'Outer heel stud', 'Inner heel stud', 'Straight bar']),
    )
    expect(parts()).not.toContain('Seated out')
    await press('Foot side')
    expect(parts()).toContain('Seated out')
    expect(parts()).toContain('Straight bar')
    expect(parts()).not.toContain('Outer heel stud')
    expect(parts()).not.toContain('Safed inner edge')
  })

  it('turned over is its mirror image: the outer branch changes sides', async () => {
    const { element, press } = await show(ShoeFace, { plan: wearing('trailer'), side: 'LF' })
    const names = () => [...element.querySelectorAll('text')].map((text) => text.textContent.trim())
    expect(names()).toEqual(['inner', 'outer'])
    await press('Foot side')
    expect(names()).toEqual(['outer', 'inner'])
  })
})

describe('ShoeSide', () => {
  it('shows the nails of one branch with the line of their exits, and the other at a tap', async () => {
    const plan = planOf({}, { nails: { lateral: { driven: [1, 2, 3] }, medial: { holes: 3, driven: [1] } } })
    const { element, press } = await show(ShoeSide, { plan })
    expect(element.querySelectorAll('.exit')).toHaveLength(4)
    expect(element.querySelector('.exit-line')).not.toBeNull()
    await press('Inner branch')
    expect(element.querySelectorAll('.exit')).toHaveLength(3)
    // One driven nail makes no line.
    expect(element.querySelector('.exit-line')).toBeNull()
  })

  it('offers the handles seen from the side only while the shoe is shaped', async () => {
    const plan = wearing('wedge')
    const { element, fixture, text } = await show(ShoeSide, { plan })
    expect(element.querySelectorAll('[data-handle="mod.wedge.rise"]')).toHaveLength(1)
    fixture.componentRef.setInput('shaping', false)
    await fixture.whenStable()
    expect(element.querySelectorAll('[data-handle]')).toHaveLength(0)
    expect(text()).toMatch(/Exits between [\d/]+" and [\d/]+" up the wall/)
  })

  it('draws what stands beside the bar, each by its own solid', async () => {
    const { element } = await show(ShoeSide, { plan: wearing('toe-clip', 'studs', 'pad') })
    const labels = [...element.querySelectorAll('[data-part]')].map((part) => part.getAttribute('data-part'))
    expect(labels).toEqual(['Toe clip', 'Outer heel stud', 'Inner heel stud', 'Pad'])
    for (const part of element.querySelectorAll('[data-part]'))
      expect(part.getAttribute('d')!.length).toBeGreaterThan(20)
  })
})

describe('CutView', () => {
  it('cuts where the slider stands and writes web and thickness of that place', async () => {
    const plan = planOf(
      {},
      { modifications: [{ kind: 'wide-outer-branch', outerWeb: 25.4, innerWeb: 12.7 }] },
    )
    const { element, text, fixture } = await show(CutView, { plan })
    const slider = element.querySelector('input')!
    const slide = async (to: string) => {
      slider.value = to
      slider.dispatchEvent(new Event('input'))
      await fixture.whenStable()
    }
    await slide('80')
    expect(text()).toContain('1"')
    expect(text()).toContain('on the outer branch')
    await slide('-80')
    expect(text()).toContain('1/2"')
    expect(text()).toContain('on the inner branch')
    await slide('0')
    expect(text()).toContain('Middle of the toe')
  })
})

describe('AgainstView', () => {
  const shoe: ShoeInput = { ...PLAIN_SHOE, fit: 'general', modifications: [{ kind: 'wedge', rise: 6 }] }
  const inputs = { foot: FOOT, shoe, plan: planOf({}, shoe), side: 'LF' }

  it('lists what differs from another pattern than the one on the Bench, in the reader’s unit', async () => {
    const other = pattern('p2', { name: 'Flat one' })
    const { text } = await show(AgainstView, { ...inputs, patterns: [pattern('p1'), other], worn: 'p1' })
    expect(text()).toMatch(/Wedge ?made ?none/)
    expect(text()).toMatch(/Fit ?General ?Supportive/)
    expect(text()).toMatch(/Cut ?1\d[^a-z]*"/)
  })

  it('says so where nothing differs, where nothing is kept, and where the other cannot be made', async () => {
    const same = pattern('p3', { shoe })
    expect((await show(AgainstView, { ...inputs, patterns: [same] })).text()).toContain(
      'come to the same shoe',
    )
    expect((await show(AgainstView, { ...inputs, patterns: [] })).text()).toContain('No pattern is kept')
    const wide = pattern('p4', { shoe: { ...PLAIN_SHOE, section: { ...PLAIN_SHOE.section, width: 58 } } })
    expect((await show(AgainstView, { ...inputs, patterns: [wide] })).text()).toContain(
      'cannot be made for this foot',
    )
  })
})

describe('GalleryDialog', () => {
  it('has a picture of every modification, shut with the reason where it cannot be made here', async () => {
    const { element, press } = await show(GalleryDialog)
    const buttons = [...element.querySelectorAll<HTMLButtonElement>('[data-kind]')]
    expect(buttons.map((one) => one.dataset['kind'])).toHaveLength(MODIFICATIONS.length)
    for (const button of buttons) expect(button.querySelector('svg'), button.dataset['kind']).not.toBeNull()
    const rail = buttons.find((one) => one.dataset['kind'] === 'four-rail-plate')!
    expect(rail.disabled).toBe(true)
    expect(rail.textContent).toContain('1 x 3/8 or 1 x 1/2')
    await press(/^Studs/)
    expect(close).toHaveBeenCalledWith('studs')
  })
})

describe('PullHandles', () => {
  const handle: Handle = {
    ...{ id: 'rise', path: 'mod.wedge.rise', label: 'Rise', kind: 'length', value: 5, range: [1, 6] },
    ...{ point: [0, 0], along: [0, 1], per: 2, view: 'side' },
  }
  it('steps by the unit in use and stops at the end of the range', async () => {
    const { element, fixture } = await show(PullHandles, {
      handles: [handle],
      place: ([x, y]: [number, number]) => [x, -y],
      onSheet: () => [0, 0],
      k: 1,
    })
    const pulled: number[] = []
    fixture.componentInstance.pulled.subscribe(({ value }) => pulled.push(value))
    const slider = element.querySelector('[role=slider]')!
    const key = (name: string) => slider.dispatchEvent(new KeyboardEvent('keydown', { key: name }))
    key('ArrowUp')
    key('ArrowDown')
    key('PageUp')
    key('a')
    expect(pulled).toHaveLength(3)
    expect(pulled[0]).toBe(6)
    expect(pulled[2]).toBe(6)
    expect(pulled[1]).toBeCloseTo(5 - 25.4 / 16, 2)
    expect(slider.getAttribute('aria-valuemax')).toBe('6.00')
  })
})

describe('Shaping', () => {
  const shaping = () => TestBed.inject(Shaping)
  beforeEach(() => TestBed.inject(Store).dispatch(benchActions.opened({ page: PAGE, kept: {} })))

  it('knows the holes of the shoe that was kept before this visit', () => {
    expect(shaping().lastHoles()).toHaveLength(6)
    expect(shaping().lastHoles()[0]).toMatchObject({ why: 'old hole', half: 'lateral' })
    const now = { ...PAGE, patterns: [pattern('p1', { visitId: 'visit' })] }
    TestBed.inject(Store).dispatch(benchActions.opened({ page: now, kept: {} }))
    expect(shaping().lastHoles()).toEqual([])
  })
})
