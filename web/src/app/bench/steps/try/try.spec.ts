import { HttpErrorResponse } from '@angular/common/http'
import { TestBed } from '@angular/core/testing'
import type { DatedTry } from '@crescent/core'
import { triesOverTime } from '@crescent/core/anvil'
import { Store } from '@ngrx/store'
import { of, throwError } from 'rxjs'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import { PAGE, show } from '../../../testing/samples'
import { anvilBench, moulded, type AnvilServer } from '../../../testing/anvil-bed'
import { Forging } from '../iron/forging'
import { SizePanel } from '../size/size-panel'
import { BendsView } from './bends-view'
import { ContactView } from './contact-view'
import { LevelLook } from './level-look'
import { LogTry } from './log-try'
import { OnFoot } from './on-foot'
import { TriesView } from './tries-view'
import { TryPanel } from './try-panel'

let server: AnvilServer
beforeEach(() => {
  server = anvilBench()
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
    // A bend that was ticked is a change like any other, and what was seen is.
    TestBed.inject(Store).dispatch(benchActions.undo())
    await view.fixture.whenStable()
    expect(bends()[0]!.classList.contains('done')).toBe(false)
    TestBed.inject(Store).dispatch(benchActions.undo())
    await panel.fixture.whenStable()
    expect(panel.text()).toContain('1/4" tight')
    await panel.press('Another try: clear')
    await view.fixture.whenStable()
    expect(bends()).toHaveLength(0)
  })

  it('plans the first shaping of a bar that is straight', async () => {
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    await panel.press('From the bar')
    await view.fixture.whenStable()
    const bends = [...view.element.querySelectorAll('[data-testid=bends] li')]
    expect(bends.length).toBeGreaterThan(5)
    for (const bend of bends) expect(bend.textContent).toMatch(/Close [\d.]+°/)
    expect(view.element.querySelector('.outcome')!.classList.contains('good')).toBe(true)
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

  it('is looked at again on two nails; what was seen before stays apart', async () => {
    const { element, press, fixture } = await show(OnFoot)
    const checks = () =>
      [...element.querySelectorAll('[data-testid=checks] li')].map((one) => one.textContent.trim())
    const say = async (what: string, answer: string) => {
      const group = element.querySelector(`[aria-label="${what}"]`)!
      ;[...group.querySelectorAll('button')].find((one) => one.textContent.trim() === answer)!.click()
      await fixture.whenStable()
    }
    await say('Clips flush', 'Yes')
    const held = checks()
    expect(held).toHaveLength(1)
    await press('On two nails')
    expect(checks()).toEqual([])
    await say('Clips flush', 'No')
    expect(element.querySelectorAll('[data-testid=checks] .wrong')).toHaveLength(1)
    await press('Held to the foot')
    expect(checks()).toEqual(held)
    expect(element.querySelectorAll('[data-testid=checks] .wrong')).toHaveLength(0)
  })

  it('bends nothing of a moulded shoe', async () => {
    server.sizes = () => of([moulded(312)])
    const panel = await show(SizePanel)
    await panel.fixture.whenStable()
    await panel.press('Use it')
    const { text } = await show(TryPanel)
    expect(text()).toContain('It is not bent')
    expect(text()).not.toContain('Hot seating')
  })
})

describe('a shoe tried on', () => {
  it('is sighted for level, with where to strike', async () => {
    const { press, element } = await show(LevelLook)
    await press('inner heel up')
    await press('flat')
    expect(element.querySelector('[data-testid=level]')!.textContent).toMatch(/inner branch foot surface up/)
  })

  it('has its contact tapped place by place, with what to do', async () => {
    const { element, press, text, fixture } = await show(ContactView)
    const place = (key: string) => element.querySelector<SVGElement>(`[data-place="${key}"]`)!
    const tap = async (key: string) => {
      place(key).dispatchEvent(new MouseEvent('click'))
      await fixture.whenStable()
    }
    expect(element.querySelectorAll('[data-place]')).toHaveLength(8)
    for (let i = 0; i < 4; i++) await tap('medial heel')
    expect(place('medial heel').getAttribute('aria-label')).toBe('inner heel: sole pressure')
    expect(text()).toMatch(/Inner heel: brown on the sole: seat the web out/)
    await tap('medial heel')
    expect(place('medial heel').getAttribute('aria-label')).toBe('inner heel: not looked at')
    await tap('lateral toe')
    await press('The rest is even')
    expect(text()).toContain('a flat shoe on a flat foot')
    // Pieces lie on the web: none of them is empty, together they are the shoe.
    for (const one of element.querySelectorAll('[data-place]'))
      expect(one.getAttribute('d')!.length).toBeGreaterThan(40)
  })

  it('is planned from a list of points, and a line that is none is named', async () => {
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    await panel.press('By points')
    const box = panel.element.querySelector('textarea')!
    const type = async (value: string) => {
      box.value = value
      box.dispatchEvent(new Event('input'))
      await view.fixture.whenStable()
      await panel.fixture.whenStable()
    }
    await type('1; 2\nx')
    expect(panel.text()).toMatch(/Line 2, x: two figures a line/)
    // Half an ellipse, in inches: open heels.
    const points = Array.from({ length: 25 }, (_, i) => {
      const t = -0.9 + (i / 24) * (Math.PI + 1.8)
      return `${(2.3 * Math.cos(t)).toFixed(3)}; ${(2.4 * Math.sin(t)).toFixed(3)}`
    })
    await type(points.join('\n'))
    expect(view.text()).toMatch(/off now|leave it alone/)
  })

  it('is tapped on the drawing where it is tight or wide', async () => {
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    expect(view.element.querySelectorAll('.tap-on')).toHaveLength(0)
    await panel.press('On the foot')
    await view.fixture.whenStable()
    const taps = [...view.element.querySelectorAll('.tap-on')]
    expect(taps).toHaveLength(12)
    const inner = taps.find((one) => one.getAttribute('aria-label') === 'Inner heel: tighter')!
    for (let i = 0; i < 2; i++) inner.dispatchEvent(new MouseEvent('click'))
    await view.fixture.whenStable()
    expect(panel.text()).toContain('1/4" tight')
    expect(view.text()).toMatch(/inner branch/)
  })

  it('keeps the bends that were ticked through a reload, for as long as they are the bends', async () => {
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    await panel.press('On the foot')
    for (let i = 0; i < 3; i++) await panel.press('Tighter at the heel, outer')
    await view.fixture.whenStable()
    await view.press('Make bend 1')
    const store = TestBed.inject(Store)
    const kept = store.selectSignal(benchFeature.selectBenchState)().drafts!.LF
    store.dispatch(benchActions.opened({ page: PAGE, kept: { LF: kept } }))
    await view.fixture.whenStable()
    expect(view.element.querySelectorAll('[data-testid=bends] .done')).toHaveLength(1)
    await panel.press('Wider at the heel, outer')
    await view.fixture.whenStable()
    expect(view.element.querySelectorAll('[data-testid=bends] .done')).toHaveLength(0)
  })

  it('is logged with the bends that were made, and begins anew', async () => {
    const forging = TestBed.inject(Forging)
    const panel = await show(TryPanel)
    const view = await show(BendsView)
    await panel.press('On the foot')
    for (let i = 0; i < 3; i++) await panel.press('Tighter at the heel, outer')
    await view.fixture.whenStable()
    await view.press('Make bend 1')
    await panel.press('More: Walks to the horse')
    // Two were counted at the forge; one more here is the third of both.
    forging.tookHeat(1)
    forging.tookHeat(1)
    await panel.press('More: Heats')
    expect(forging.heatsTaken()).toBe(3)
    await panel.press('Log it, try again')
    expect(server.logged).toHaveLength(1)
    expect(server.logged[0]).toMatchObject({ visitId: 'visit', side: 'LF', walks: 2, heats: 3, fits: false })
    expect(server.logged[0]!.corrections[0]).toMatchObject({ branch: 'lateral' })
    expect(server.logged[0]!.corrections[0]!.angle).toBeGreaterThan(0)
    expect(server.logged[0]!.before).toBeGreaterThan(2)
    expect(panel.text()).toMatch(/2 walks, .* off, 1 bend\./)
    // The next one starts from nothing seen, and is another try.
    await panel.press('It fits: log it')
    expect(server.logged[1]).toMatchObject({ walks: 1, heats: 0, fits: true, corrections: [] })
    expect(forging.heatsTaken()).toBe(3)
    expect(server.logged[1]!.id).not.toBe(server.logged[0]!.id)
  })

  it('keeps what was told where it could not be logged', async () => {
    server.putTry = () => throwError(() => new HttpErrorResponse({ status: 0 }))
    const { element, press, text } = await show(LogTry)
    await press('More: Heats')
    await press('It fits: log it')
    expect(text()).toContain('The server does not answer')
    expect(element.querySelectorAll('.count b')[1]!.textContent).toBe('1')
    expect(element.querySelector('[data-testid=tries]')).toBeNull()
  })
})

describe('what comes back', () => {
  beforeEach(() => {
    // The browser of these tests measures nothing.
    vi.stubGlobal(
      'ResizeObserver',
      class {
        observe = () => undefined
        unobserve = () => undefined
        disconnect = () => undefined
      },
    )
  })
  afterEach(() => vi.unstubAllGlobals())

  it('is told in words beside its charts, or that nothing is logged', async () => {
    expect((await show(TriesView)).text()).toContain('Nothing is logged yet')
    const one = (id: string, more: Partial<DatedTry>): DatedTry => ({
      ...{ id, version: 1, visitId: id, side: 'LF', shoe: '', handmade: true, walks: 2, heats: 1 },
      ...{ minutes: 14, fits: false, before: 3, contacts: {}, date: '2026-11-02', horse: 'Tansy' },
      corrections: [{ branch: 'lateral', at: 'heel', angle: 3, heelMoves: 5 }],
      ...more,
    })
    server.over = triesOverTime([one('a', {}), one('b', {}), one('c', { corrections: [] })])
    const { text } = await show(TriesView)
    expect(text()).toContain('Most often: open the outer heel, 2 times, by some 3°.')
    expect(text()).toMatch(
      /Outer branch: its heel .* too tight on the average, give or take .*, over 3 shoes/,
    )
    expect(text()).toContain('Inner branch: its heel right on the average')
    expect(text()).toContain('The last month that was timed: 14')
  })
})
