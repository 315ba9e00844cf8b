import { TestBed } from '@angular/core/testing'
import { MatDialogRef } from '@angular/material/dialog'
import { USUAL_NAIL_SIZES, type KeepClear, type NailTurning, type WorkshopRecord } from '@crescent/core'
import { Store } from '@ngrx/store'
import { of } from 'rxjs'
import { Dialogs } from '../../../common/dialogs'
import type { ReasonAsked } from '../../../common/reason-dialog'
import { Api } from '../../../state/api'
import { benchActions, benchFeature } from '../../../state/bench/bench.feature'
import { settingsActions } from '../../../state/settings/settings.feature'
import { PAGE, planOf, show, STORE } from '../../../testing/samples'
import { HoleLines } from './hole-lines'
import { KeepClearList } from './keep-clear-list'
import { NailStep } from './nail-step'
import { NailsDialog } from './nails-dialog'
import { WallPicture } from '../../../drawing/wall-picture'

const SHELF = { sizes: USUAL_NAIL_SIZES, turningRadius: 22 }
const draft = () => TestBed.inject(Store).selectSignal(benchFeature.selectDraft)()!
const nails = () => draft().shoe.nails

beforeEach(() => {
  TestBed.configureTestingModule({ providers: STORE })
  const store = TestBed.inject(Store)
  store.dispatch(settingsActions.change({ changes: { unit: 'in', denominator: 16 } }))
  store.dispatch(benchActions.opened({ page: PAGE, kept: {} }))
})

describe('NailStep', () => {
  it('says whose limits hold, what nail is wanted, and asks for the shelf', async () => {
    const { text, press, fixture } = await show(NailStep, { draft: draft(), plan: planOf(), ...SHELF })
    expect(text()).toContain('None behind the bend of the quarter')
    expect(text()).toMatch(/Must reach 1 [\d/]+" and be no thicker than 3\/32"/)
    let asked = 0
    fixture.componentInstance.shelf.subscribe(() => asked++)
    await press('Shelf')
    expect(asked).toBe(1)
  })

  it('changes school, size and holes of the draft', async () => {
    const { press, element, fixture } = await show(NailStep, { draft: draft(), plan: planOf(), ...SHELF })
    await press('Laminitic foot')
    expect(nails()).toMatchObject({ school: 'laminitic' })
    fixture.componentRef.setInput('draft', draft())
    await press('One hole less, inner')
    expect(nails()).toMatchObject({ school: 'laminitic', medial: { holes: 3, driven: [1, 2, 3] } })
    fixture.componentRef.setInput('draft', draft())
    const select = element.querySelector<HTMLSelectElement>('select')!
    select.value = 'Stout 6'
    select.dispatchEvent(new Event('change'))
    expect(nails()).toMatchObject({ size: 'Stout 6' })
  })

  describe('on a foundered foot', () => {
    const LIMIT = { rule: 'behind the widest part', by: 'vet', why: 'Set by Dr Sedge.' } as const
    const foundered = () => planOf({ limits: [LIMIT] }, draft().shoe)
    let reason: string | undefined
    const shownStep = async () => {
      const ask = (_bring: unknown, { data }: { data: ReasonAsked }) => {
        expect(data.against).toEqual(['No nail ahead of the widest part. Set by Dr Sedge.'])
        return Promise.resolve(reason)
      }
      TestBed.inject(Dialogs).ask = ask as Dialogs['ask']
      return show(NailStep, { draft: draft(), plan: foundered(), ...SHELF })
    }

    it('says who limits the nails, and leaves the school as it is without a reason', async () => {
      reason = undefined
      const { text, press } = await shownStep()
      expect(text()).toContain('No nail ahead of the widest part')
      expect(text()).toContain('Only behind the widest part, away from the toe.')
      await press('Sound foot')
      expect(nails()?.school).not.toBe('sound')
    })

    it('overruled with a reason it is kept with the shoe, without what is the foot’s', async () => {
      reason = 'Dr Sedge agreed'
      const { press } = await shownStep()
      await press('Sound foot')
      expect(nails()).toMatchObject({
        school: 'sound',
        overruled: [{ rule: 'behind the widest part', by: 'vet', reason: 'Dr Sedge agreed' }],
      })
      expect(nails()).not.toHaveProperty('limits')
    })
  })

  it('keeps what a quick hand typed before the screen has followed: each change is one of the shoe as it stands', async () => {
    const plan = planOf()
    const { element, fixture } = await show(NailStep, { draft: draft(), plan, ...SHELF })
    const folded = [...element.querySelectorAll('details')].find((one) =>
      one.textContent.includes('How high the nails came out'),
    )!
    folded.open = true
    folded.dispatchEvent(new Event('toggle'))
    await fixture.whenStable()
    const type = (key: string, text: string) => {
      const box = element.querySelector<HTMLInputElement>(`[data-field="nails.lateral.${key}.seen"]`)!
      box.value = text
      box.dispatchEvent(new Event('input'))
    }
    // Nothing is drawn in between.
    type('1', '3')
    type('1', '3/4')
    type('2', '5/8')
    const { each } = (nails() as { lateral: { each: { number: number; seen: number }[] } }).lateral
    expect(each.map(({ number, seen }) => [number, Math.round((seen / 25.4) * 1e6) / 1e6])).toEqual([
      [1, 0.75],
      [2, 0.625],
    ])
  })

  it('counts the holes there are: a trailer has given one up, and one less leaves two', async () => {
    const plan = planOf({}, { modifications: [{ kind: 'trailer' }] })
    const { text, press } = await show(NailStep, { draft: draft(), plan, ...SHELF })
    expect(text()).toContain('3 holes')
    expect(text()).toContain('4 holes')
    await press('One hole less, outer')
    expect(nails()).toMatchObject({ lateral: { holes: 2, driven: [1, 2] } })
  })

  it('unfolds a hole and keeps it unfolded while its figures change, and shuts it for another foot', async () => {
    const { element, press, fixture } = await show(NailStep, { draft: draft(), plan: planOf(), ...SHELF })
    const open = () => element.querySelectorAll('cr-hole-lines').length
    await press('More of outer 2')
    expect(open()).toBe(1)
    fixture.componentRef.setInput('plan', planOf({ width: 128 }))
    await fixture.whenStable()
    expect(open()).toBe(1)
    fixture.componentRef.setInput('plan', planOf({ side: 'RF' }))
    await fixture.whenStable()
    expect(open()).toBe(0)
  })

  it('tells a hole beyond its limit, and a wall that does not hold', async () => {
    const keepClear: KeepClear[] = [{ why: 'crack', half: 'medial', fromToe: 60, width: 60 }]
    const nailed = { lateral: { each: [{ number: 1, fromToe: 8 }] } }
    const { text } = await show(NailStep, {
      draft: draft(),
      plan: planOf({ keepClear }, { nails: nailed }),
      ...SHELF,
    })
    expect(text()).toContain('Ahead of the limit.')
    expect(text()).toContain('no wall there')
    expect(text()).toContain('Lies in a crack: no nail into broken wall.')
  })
})

describe('HoleLines', () => {
  it('shows what is planned as default, what was said as figure, and hands on what is typed', async () => {
    const plan = planOf({}, { nails: { lateral: { each: [{ number: 2, inset: 7 }] } } })
    const nail = plan.nails.find(({ number }) => number === 2)!
    const { element, fixture } = await show(HoleLines, {
      ...{ nail, plan, said: { inset: 7 }, turningRadius: 22 },
      problems: [{ path: 'shoe.nails.lateral.2.lean', message: 'Too flat' }],
    })
    const changes: unknown[] = []
    fixture.componentInstance.changed.subscribe((change) => changes.push(change))
    const field = (key: string) =>
      element.querySelector<HTMLInputElement>(`[data-field="nails.lateral.2.${key}"]`)!
    expect(field('inset').value).toBe('1/4"')
    expect(field('fromToe').value).toBe('')
    expect(field('fromToe').placeholder).not.toBe('')
    // Nobody saw it come out: nothing is made up.
    expect(field('seen').placeholder).toBe('')
    expect(element.querySelector('[role=alert]')!.textContent).toContain('Too flat')
    field('seen').value = '3/4'
    field('seen').dispatchEvent(new Event('input'))
    expect(changes).toEqual([{ key: 'seen', value: 25.4 * 0.75 }])
  })
})

describe('WallPicture', () => {
  it('draws a nail that pricks as one, and says so to those who cannot see it', async () => {
    const plan = planOf({ wallThickness: 5 }, { nails: { lateral: { each: [{ number: 2, inset: 14 }] } } })
    const nail = plan.nails.find(({ number }) => number === 2)!
    const { element } = await show(WallPicture, { nail, plan, turningRadius: 22 })
    expect(element.querySelector('.way')!.classList).toContain('pricks')
    expect(element.querySelector('svg')!.getAttribute('aria-label')).toMatch(
      /outer hole 2: comes out at .* would prick/,
    )
  })
})

describe('KeepClearList', () => {
  const crack: KeepClear = { why: 'crack', half: 'lateral', fromToe: 40, width: 6 }
  const found: KeepClear = { why: 'broken wall', half: 'medial', fromToe: 70, width: 20, look: true }

  it('takes back what was marked here, but not what was found while looking', async () => {
    const plan = planOf({ keepClear: [crack, found] })
    const { text, element, press, fixture } = await show(KeepClearList, { plan, marked: [crack] })
    const changes: KeepClear[][] = []
    fixture.componentInstance.changed.subscribe((marks) => changes.push(marks))
    expect(text()).toContain('crack, outer')
    expect(text()).toContain('from the look')
    expect(element.querySelectorAll('li button')).toHaveLength(1)
    await press('Take away the mark: crack')
    expect(changes).toEqual([[]])
  })

  it('marks the wall at a hole, and the holes of the last shoe', async () => {
    const plan = planOf()
    const last: KeepClear = { why: 'old hole', half: 'lateral', fromToe: 33, width: 4 }
    const { element, press, fixture } = await show(KeepClearList, { plan, marked: [], lastHoles: [last] })
    const changes: KeepClear[][] = []
    fixture.componentInstance.changed.subscribe((marks) => changes.push(marks))
    element.querySelector('select')!.value = '5'
    await press('crack')
    await press('Mark crack')
    const hole = plan.nails[5]!
    expect(changes[0]![0]).toMatchObject({ why: 'crack', half: hole.branch })
    expect(changes[0]![0]!.fromToe).toBeCloseTo(hole.alongWall, 1)
    await press('Mark the holes of the last shoe')
    expect(changes[1]).toEqual([last])
  })
})

describe('NailsDialog', () => {
  const workshop: WorkshopRecord = { id: 'w', version: 1, figures: { scaleLoss: 3 } }
  function open(turning: NailTurning) {
    const put = vi.fn((record: WorkshopRecord) => of({ ...record, version: 2 }))
    const close = vi.fn()
    TestBed.overrideProvider(Api, {
      useValue: { workshop: () => of(workshop), nailTurning: () => of(turning), putWorkshop: put },
    })
    TestBed.overrideProvider(MatDialogRef, { useValue: { close } })
    return { put, close }
  }
  beforeEach(() => {
    TestBed.resetTestingModule()
    TestBed.configureTestingModule({
      providers: [...STORE, { provide: Api, useValue: {} }, { provide: MatDialogRef, useValue: {} }],
    })
  })

  it('says how many exits are missing, or takes over what they say', async () => {
    open({ seen: 2, turning: null })
    expect((await show(NailsDialog)).text()).toContain('2 exits written down; from three on')
  })

  it('stores the table and the radius beside the workshop’s other figures', async () => {
    const { put, close } = open({ seen: 5, turning: { radius: 26.34, low: 24, high: 28, count: 5 } })
    const { text, element, press } = await show(NailsDialog)
    expect(text()).toContain('5 nails of which the exit was written down turn along 1 1/32"')
    await press('Reckon with 1 1/32"')
    const name = element.querySelector<HTMLInputElement>('[aria-label="Name of nail 1"]')!
    name.value = 'Tin 0'
    name.dispatchEvent(new Event('input'))
    await press('Save')
    const { figures } = put.mock.calls[0]![0]
    expect(figures).toMatchObject({ scaleLoss: 3, turningRadius: 26.3 })
    expect(figures.nailSizes![0]).toMatchObject({ name: 'Tin 0', length: 40 })
    expect(close).toHaveBeenCalled()
  })

  it('keeps what is no figure in its box, names it, and stores nothing', async () => {
    const { put } = open({ seen: 0, turning: null })
    const { text, press, element } = await show(NailsDialog)
    const blade = element.querySelector<HTMLInputElement>('[aria-label="Blade mm of Slim 1"]')!
    blade.value = 'long'
    blade.dispatchEvent(new Event('input'))
    await press('Save')
    expect(put).not.toHaveBeenCalled()
    expect(text()).toContain('Blade mm of Slim 1: it lies between 20 and 120')
    expect(blade.value).toBe('long')
    await press('Another nail')
    await press('Save')
    expect(text()).toContain('Blade mm of Slim 1')
    await press('The usual table')
    await press('Save')
    expect(put).toHaveBeenCalledTimes(1)
  })
})
