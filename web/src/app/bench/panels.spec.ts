import { TestBed } from '@angular/core/testing'
import { Store } from '@ngrx/store'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { PLAIN_SHOE, shownIron, USUAL_NAIL_SIZES } from '@crescent/core'
import { settingsActions } from '../state/settings/settings.feature'
import { FOOT, PAGE, pattern, planOf, STORE, show } from '../testing/samples'
import { BarStrip } from './slip/bar-strip'
import { CautionsList } from './slip/cautions-list'
import { IronSlip } from './slip/iron-slip'
import { MapStep } from './steps/map/map-step'
import { NailStep } from './steps/nail/nail-step'
import { PrintSheet } from './print/print-sheet'
import { ShoeStep } from './steps/shoe/shoe-step'

const state = () => TestBed.inject(Store).selectSignal(benchFeature.selectBenchState)()
const draft = () => state().drafts!.LF
const use = (unit: 'in' | 'mm') =>
  TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit, denominator: 16 } }))

beforeEach(() => {
  TestBed.configureTestingModule({ providers: STORE })
  use('in')
  TestBed.inject(Store).dispatch(benchActions.opened({ page: PAGE, kept: {} }))
})

describe('IronSlip', () => {
  const plan = planOf()

  it('shows section and cut, the rules with their difference, and what changed against the shoe it wears', async () => {
    const worn = pattern('p1', {
      result: { ...pattern('p1').result, cutLength: plan.iron.cutLength - 25.4 / 4 },
    })
    const { element, text } = await show(IronSlip, { plan, section: PLAIN_SHOE.section, wears: worn })
    expect(element.querySelector('[data-testid=section]')!.textContent.trim()).toBe('3/4 x 5/16')
    expect(element.querySelector('[data-testid=cut]')!.getAttribute('aria-label')).toMatch(
      /^1[12]( \d+\/\d+)?"$/,
    )
    expect(text()).toContain('Against “Road set”+1/4"')
    expect(text()).toContain('6 of 8 holes')
    expect(text()).toContain('Usual bar: 3/4 x 1/4')
  })

  it('follows the unit', async () => {
    use('mm')
    const { element, text } = await show(IronSlip, { plan, section: PLAIN_SHOE.section })
    expect(element.querySelector('[data-testid=section]')!.textContent.trim()).toBe('19 x 8 mm')
    expect(text()).toMatch(/Weight\d+ g/)
  })

  it('cannot be saved while what is typed is impossible, and offers the usual bar', async () => {
    const { fixture, element } = await show(IronSlip, { plan, section: PLAIN_SHOE.section, stale: true })
    const taken: unknown[] = []
    fixture.componentInstance.take.subscribe((section) => taken.push(section))
    expect(element.querySelector<HTMLButtonElement>('.save button')!.disabled).toBe(true)
    element.querySelector<HTMLButtonElement>('.suggest button')!.click()
    expect(taken).toEqual([plan.suggestion.section])
  })

  it('sets what asks for a decision above what is good to know', async () => {
    const warned = planOf({ heelAngle: 40 })
    const { element } = await show(IronSlip, { plan: warned, section: PLAIN_SHOE.section })
    const lists = [...element.querySelectorAll('cr-cautions-list')].map((list) => list.textContent)
    expect(lists[0]).toContain('Heels run forward')
    expect(lists[1]).toContain('Hot seating')
  })
})

describe('BarStrip', () => {
  it('draws each mark at its true share of the bar, and lists it from both ends', async () => {
    const { iron } = planOf({ lateralHalfWidth: 68 })
    const { element } = await show(BarStrip, { iron })
    const places = [...element.querySelectorAll('svg g')].map((g) =>
      Number(/translate\(([\d.]+)/.exec(g.getAttribute('transform')!)![1]),
    )
    const first = places[0]!
    const span = places.at(-1)! - first
    // They lie where their written figures lie: what is read off adds up.
    const written = shownIron(iron, { unit: 'in', denominator: 16 })
    written.marks.forEach((mark, i) => {
      const fromLateral =
        mark.branch === 'lateral'
          ? mark.fromEnd
          : mark.branch === 'medial'
            ? written.cutLength - mark.fromEnd
            : mark.fromEnd
      expect((places[i]! - first) / span).toBeCloseTo(fromLateral / written.cutLength, 3)
    })
    const rows = [...element.querySelectorAll('tbody tr')].map((row) =>
      [...row.children].map((cell) => cell.textContent),
    )
    expect(rows).toHaveLength(iron.marks.length)
    expect(rows[0]![0]).toBe('Heel end, outer branch')
    expect(rows[0]![2]).toBe('0"')
  })
})

describe('CautionsList', () => {
  it('says severity in a word and by an icon, opens stops, and tells what to do', async () => {
    const { cautions } = planOf({ wallThickness: 4 }, { fit: { toeSetBack: 12 } })
    const { element } = await show(CautionsList, { cautions })
    const stop = element.querySelector<HTMLDetailsElement>('details.stop')!
    expect(stop.open).toBe(true)
    expect(stop.querySelector('b')!.textContent).toBe('Stop:')
    expect(stop.querySelector('mat-icon')).not.toBeNull()
    expect(stop.textContent).toContain('call the vet')
    expect(element.querySelector<HTMLDetailsElement>('details.note')!.open).toBe(false)
  })
})

/** The nails on the shelf and how they turn. */
const SHELF = { sizes: USUAL_NAIL_SIZES, turningRadius: 22 }

describe('NailStep', () => {
  it('lists every hole with lean, exit and verdict, and drives or leaves it', async () => {
    const { element, text } = await show(NailStep, { draft: draft(), plan: planOf(), ...SHELF })
    expect(element.querySelectorAll('tbody tr')).toHaveLength(8)
    expect(text()).toContain('sound')
    element.querySelector<HTMLInputElement>('input[type=checkbox]')!.click()
    const { nails } = draft().shoe
    expect(nails).toMatchObject({
      lateral: { holes: 4, driven: [2, 3] },
      medial: { holes: 4, driven: [1, 2, 3] },
    })
  })

  it('says in words why a nail is doubtful', async () => {
    const plan = planOf({ wallThickness: 4 }, { fit: { toeSetBack: 12 } })
    const { text } = await show(NailStep, { draft: draft(), plan, ...SHELF })
    expect(text()).toContain('would prick')
    expect(text()).toContain('past the white line into live tissue. Do not drive.')
  })
})

describe('MapStep', () => {
  const previous = PAGE.previous!.footRecords[0]

  it('tells the last visit while nothing is measured, and copies it', async () => {
    const { press, text } = await show(MapStep, { draft: draft(), side: 'LF', previous })
    expect(text()).toContain('Last visit 5"')
    await press(/Copy last visit$/)
    expect(draft().foot.figures.width).toBe(FOOT.width)
  })

  it('says what changed since the last visit', async () => {
    TestBed.inject(Store).dispatch(benchActions.copyLast())
    TestBed.inject(Store).dispatch(benchActions.setFigure({ key: 'width', value: 127 + 25.4 / 8 }))
    const { text } = await show(MapStep, { draft: draft(), side: 'LF', previous })
    expect(text()).toContain('+1/8" since last visit')
    expect(text()).toContain('As last visit')
  })

  it('puts a problem at its field, in the reader’s unit, and opens the group it lies in', async () => {
    TestBed.inject(Store).dispatch(benchActions.copyLast())
    TestBed.inject(Store).dispatch(benchActions.setFigure({ key: 'quarterLead', value: 90 }))
    const planning = TestBed.inject(Store).selectSignal(benchFeature.selectPlanning)()
    const { element, text } = await show(MapStep, {
      draft: draft(),
      side: 'LF',
      problems: planning.problems,
      previous,
    })
    expect(text()).toContain('Outer quarter ahead: 3 9/16" is not possible here')
    const outline = [...element.querySelectorAll('details')].find((one) =>
      one.textContent.includes('Outline'),
    )
    expect(outline!.open).toBe(true)
    expect(element.querySelectorAll('details details[open]')).toHaveLength(1)
  })

  it('never shows a guess for what is never guessed', async () => {
    const { text } = await show(MapStep, { draft: draft(), side: 'LF', foot: planOf().foot })
    expect(text()).toContain('Not known; never guessed.')
  })
})

describe('ShoeStep', () => {
  it('takes a preset, and one typed number makes the fit its own with the others as they were', async () => {
    TestBed.inject(Store).dispatch(benchActions.copyLast())
    const { fixture, element } = await show(ShoeStep, {
      draft: draft(),
      plan: planOf({}, { fit: 'supportive' }),
    })
    element.querySelectorAll<HTMLButtonElement>('[role=radio]')[3]!.click()
    expect(draft().shoe.fit).toBe('conservative')
    fixture.componentRef.setInput('draft', draft())
    fixture.componentRef.setInput('plan', planOf({}, { fit: 'conservative' }))
    await fixture.whenStable()
    const spread = element.querySelector<HTMLInputElement>('[data-field="fit.spread"]')!
    spread.value = '1/8'
    spread.dispatchEvent(new Event('input'))
    expect(draft().shoe.fit).toEqual({
      spread: 25.4 / 8,
      heelLength: 0,
      toeSetBack: 0,
      behind: 'straight back',
    })
  })

  it('keeps the bar when its field is emptied, and says that a length is needed', async () => {
    const { fixture, element, text } = await show(ShoeStep, { draft: draft() })
    const width = element.querySelector<HTMLInputElement>('[data-field="section.width"]')!
    width.value = ''
    width.dispatchEvent(new Event('input'))
    expect(draft().shoe.section.width).toBe(PLAIN_SHOE.section.width)
    fixture.componentRef.setInput('draft', draft())
    await fixture.whenStable()
    expect(text()).toContain('Type a length')
  })
})

describe('PrintSheet', () => {
  it('says that it is not to scale, and prints a stop as one, with what to do', async () => {
    const plan = planOf({ wallThickness: 4 }, { fit: { toeSetBack: 12 } })
    const { element, text } = await show(PrintSheet, {
      plan,
      page: PAGE,
      side: 'LF',
      section: PLAIN_SHOE.section,
    })
    const svg = element.querySelector('svg')!
    // A browser scales pages as it likes: nothing on it claims to be a millimetre.
    expect(svg.getAttribute('width')).toBeNull()
    expect(text()).toContain('Not to scale')
    expect(text()).not.toContain('lay a rule')
    expect(text()).toContain('pull the nail, say so, call the vet')
    expect(text()).toContain('STOP: Nail would prick')
    // Eleven marks and the six nails that are driven, each with its verdict.
    expect(element.querySelectorAll('tbody tr')).toHaveLength(17)
    expect(text()).toContain('would prick')
  })
})
