import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import {
  footMap,
  gatesOf,
  newLook,
  usualFoot,
  type Finding,
  type Look,
  type PlaceKey,
  type Side,
} from '@crescent/core'
import { advise, type Advice } from '@crescent/core/advice'
import { Store } from '@ngrx/store'
import { lookActions, lookFeature } from '../../../state/look/look.feature'
import { show, STORE } from '../../../testing/samples'
import { AdviceList, type Decision } from './advice-list'
import { FindingDialog, type FindingChoice } from './finding-dialog'
import { GateDialog, type GateAnswer } from './gate-dialog'
import { LookDrawing } from './look-drawing'
import { LookPanel } from './look-panel'
import { LookStep } from './look-step'

const FINDING: Finding = {
  id: 'f',
  kind: 'flare',
  place: 'outer-quarter',
  grade: 2,
  note: '',
  answer: 'new',
  since: '2026-10-01',
}

const look = () => TestBed.inject(Store).selectSignal(lookFeature.selectLook)()!
const open = (stored: Look | null = null) =>
  TestBed.inject(Store).dispatch(
    lookActions.opened({ visitId: 'visit', stored, before: null, kept: undefined, newId: 'new' }),
  )

beforeEach(() => TestBed.configureTestingModule({ providers: STORE }))

describe('LookDrawing', () => {
  const map = footMap(usualFoot('RF', 'horse'))!
  const inputs = { map, side: 'RF', findings: [] }

  it('tells which place was touched, by pointer and by key', async () => {
    const { fixture, element } = await show(LookDrawing, inputs)
    const touched: PlaceKey[] = []
    fixture.componentInstance.touched.subscribe((place) => touched.push(place))
    element.querySelector('[data-place="outer-quarter"]')!.dispatchEvent(new MouseEvent('click'))
    element
      .querySelector('[data-place="frog"]')!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter' }))
    element.querySelector<HTMLElement>('[data-place="foot"]')!.click()
    expect(touched).toEqual(['outer-quarter', 'frog', 'foot'])
  })

  it('numbers findings, sets apart what calls for the vet by shape, and asks where the last visit left a question', async () => {
    const bleeding: Finding = { ...FINDING, id: 'g', kind: 'crack', place: 'toe-wall', grade: 3 }
    const { element } = await show(LookDrawing, {
      ...inputs,
      findings: [
        { number: 1, finding: FINDING },
        { number: 2, finding: bleeding },
      ],
      questions: [{ ...FINDING, id: 'q', place: 'frog' }],
    })
    const marks = [...element.querySelectorAll('.marks > g')].map((mark) => mark.textContent.trim())
    expect(marks).toEqual(['?', '1', '2'])
    expect(element.querySelectorAll('.marks .vet path')).toHaveLength(1)
    expect(element.querySelector('[data-place="toe-wall"]')!.getAttribute('aria-label')).toBe('toe: crack')
  })

  it('has the outer side on the left of a right foot', async () => {
    const { element } = await show(LookDrawing, inputs)
    expect([...element.querySelectorAll('.side')].map((one) => one.textContent.trim())).toEqual([
      'inner',
      'outer',
    ])
  })
})

describe('FindingDialog', () => {
  const choose = async (here: Finding[], name: string) => {
    let closed: FindingChoice | undefined
    TestBed.overrideProvider(MAT_DIALOG_DATA, { useValue: { place: 'outer-quarter', side: 'LF', here } })
    TestBed.overrideProvider(MatDialogRef, {
      useValue: { close: (choice: FindingChoice) => (closed = choice) },
    })
    const dialog = await show(FindingDialog)
    const group = dialog.element.querySelector('[aria-label="Flare"]')!
    ;[...group.querySelectorAll('button')].find((one) => one.textContent.trim() === name)!.click()
    return { closed, ...dialog }
  }
  beforeEach(() =>
    TestBed.configureTestingModule({
      providers: [
        { provide: MAT_DIALOG_DATA, useValue: {} },
        { provide: MatDialogRef, useValue: {} },
      ],
    }),
  )

  it('takes a grade with one tap, and takes it back with the same', async () => {
    expect((await choose([], 'severe')).closed).toEqual({ kind: 'flare', grade: 3 })
  })
  it('shows what is there already', async () => {
    const { closed, element } = await choose([FINDING], 'clear')
    expect(element.querySelector('[aria-pressed=true]')!.textContent.trim()).toBe('clear')
    expect(closed).toEqual({ kind: 'flare', grade: null })
  })
  it('offers only what can lie there', async () => {
    const { text } = await choose([], 'slight')
    expect(text()).toContain('Crack')
    expect(text()).not.toContain('Club foot')
  })
})

describe('GateDialog', () => {
  const asked = async (shoeOn?: Side) => {
    const bare = newLook('l', 'v')
    bare.feet.LF.findings = [{ ...FINDING, kind: 'puncture', place: 'frog', grade: 1 }]
    const closed: GateAnswer[] = []
    TestBed.configureTestingModule({
      providers: [
        { provide: MAT_DIALOG_DATA, useValue: { gates: gatesOf(bare), ...(shoeOn && { shoeOn }) } },
        { provide: MatDialogRef, useValue: { close: (answer: GateAnswer) => closed.push(answer) } },
      ],
    })
    const shown = await show(GateDialog)
    const go = () => [...shown.element.querySelectorAll('button')].at(-1)!
    const say = async (text: string) => {
      const words = shown.element.querySelector('textarea')!
      words.value = text
      words.dispatchEvent(new Event('input'))
      await shown.fixture.whenStable()
    }
    return { ...shown, closed, go, say }
  }

  it('lets nobody past without a word about the vet', async () => {
    const { text, go, say, press, closed } = await asked()
    expect(text()).toContain('Leave what sticks in it where it is')
    expect(go().disabled).toBe(true)
    await say(' called ')
    await press(/go on/)
    expect(closed).toEqual([{ words: 'called' }])
  })

  it('where a shoe is to go on it must be allowed, not only read', async () => {
    const { element, fixture, go, say, press, closed, text } = await asked('LF')
    await say('Dr Sedge looked at it')
    expect(go().disabled).toBe(true)
    expect(text()).toContain('No shoe on it')
    element.querySelector<HTMLInputElement>('input[type=checkbox]')!.click()
    await fixture.whenStable()
    await press(/as the vet allows/)
    expect(closed).toEqual([{ words: 'Dr Sedge looked at it', allows: 'shoe' }])
  })
})

describe('AdviceList', () => {
  const bare = newLook('l', 'v')
  const advice: Advice[] = advise({
    side: 'LH',
    look: {
      ...bare,
      ways: { ...bare.ways, living: 'in a muddy herd' },
      feet: { ...bare.feet, LH: { ...bare.feet.LH, landing: 'outside first' } },
    },
    cycleWeeks: 7,
  })

  it('shows reason, school, what speaks against it and what it clashes with', async () => {
    const { element } = await show(AdviceList, { advice, choices: [] })
    const trailer = element.querySelector('[aria-label="Lateral trailer"]')!.textContent.replace(/\s+/g, ' ')
    expect(trailer).toContain('Against it: Stepped off in mud')
    expect(trailer).toContain(
      'Pulls against “Conservative fit: nothing behind the heel” (trailer, long heels)',
    )
  })

  it('asks why before it is dismissed or changed, and puts what is decided last', async () => {
    const decided: Decision[] = []
    const { element, fixture } = await show(AdviceList, { advice, choices: [] })
    fixture.componentInstance.decide.subscribe((one) => decided.push(one))
    const article = () => element.querySelector('[aria-label="Lateral trailer"]')!
    const button = (name: string) =>
      [...article().querySelectorAll('button')].find((one) => one.textContent.trim() === name)!
    button('Dismiss').click()
    await fixture.whenStable()
    expect(article().textContent).toContain('Why not?')
    article().querySelector('input')!.value = 'herd'
    article()
      .querySelector('form')!
      .dispatchEvent(new Event('submit', { cancelable: true }))
    expect(decided).toEqual([expect.objectContaining({ choice: 'dismissed', reason: 'herd' })])

    const choice = { code: 'outside-trailer', side: 'LH', choice: 'dismissed', reason: 'herd', at: '' }
    fixture.componentRef.setInput('choices', [choice])
    await fixture.whenStable()
    expect(element.querySelectorAll('article')[advice.length - 1]!.getAttribute('aria-label')).toBe(
      'Lateral trailer',
    )
  })

  it('says what came of what was followed, and what will be asked next time', async () => {
    const told = advice.map((one, i) => ({
      ...one,
      ...(i === 0 && { failed: true, soFar: ['Lands flatter: worse at two visits running.'] }),
    }))
    const chosen = told.find(({ code }) => code === 'outside-trailer')!
    const choices = [{ code: chosen.code, side: 'LH', choice: 'accepted', reason: '', at: '' }]
    const { element, text } = await show(AdviceList, { advice: told, choices })
    expect(element.querySelector('.so-far')!.textContent).toContain('worse at two visits')
    expect(text()).toContain('Next time it is asked: Lands flatter?')
  })

  it('says when there is none', async () => {
    expect((await show(AdviceList, { advice: [], choices: [] })).text()).toContain('bring advice here')
  })
})

describe('LookPanel', () => {
  it('answers questions, notes and takes back findings, and says whether they are kept', async () => {
    open()
    const before: Finding = { ...FINDING, grade: 1 }
    const inputs = { look: look(), side: 'LF', findings: [], questions: [before], gates: [], advice: [] }
    const { fixture, press, text, element } = await show(LookPanel, inputs)
    await press('worse')
    expect(look().feet.LF.findings[0]).toMatchObject({ grade: 2, answer: 'worse', since: '2026-10-01' })
    fixture.componentRef.setInput('look', look())
    fixture.componentRef.setInput('findings', [{ number: 1, finding: look().feet.LF.findings[0]! }])
    fixture.componentRef.setInput('unsaved', true)
    fixture.componentRef.setInput('failure', 'The server does not answer.')
    await fixture.whenStable()
    expect(text()).toContain('Not kept yet: The server does not answer.')
    const note = element.querySelector<HTMLInputElement>('.finding input')!
    note.value = 'by the nail'
    note.dispatchEvent(new Event('input'))
    expect(look().feet.LF.findings[0]!.note).toBe('by the nail')
    element.querySelector<HTMLElement>('[aria-label^="Take back"]')!.click()
    expect(look().feet.LF.findings).toEqual([])
  })
})

describe('LookStep', () => {
  const inputs = () => ({ side: 'LF', weeksSince: 9.2, cycleWeeks: 7 })

  it('says how long ago the last shoeing was, and by how much the cycle ran over', async () => {
    open()
    expect((await show(LookStep, inputs())).text()).toContain(
      '9 weeks since the last shoeing, 2 over its cycle of 7.',
    )
    expect((await show(LookStep, { ...inputs(), weeksSince: undefined })).text()).toContain('First visit')
  })

  it('takes choices, several where several may be, and takes them back', async () => {
    open()
    const { press, fixture } = await show(LookStep, inputs())
    await press('toe first')
    await press('brushes')
    await fixture.whenStable()
    await press('forges')
    await press('suspensory strain')
    expect(look().feet.LF.landing).toBe('toe first')
    expect(look().ways.interference).toEqual(['brushes', 'forges'])
    expect(look().vet.diagnosis).toBe('suspensory strain')
    await fixture.whenStable()
    await press('toe first')
    await press('brushes')
    expect(look().feet.LF.landing).toBeUndefined()
    expect(look().ways.interference).toEqual(['forges'])
  })

  it('keeps a figure that cannot be as it was typed, names its range, and stores it once it can', async () => {
    open()
    const { element, fixture, text } = await show(LookStep, inputs())
    const field = element.querySelector<HTMLInputElement>('[data-field="untrimmed-toeAngle"]')!
    const type = async (value: string) => {
      field.value = value
      field.dispatchEvent(new Event('input'))
      await fixture.whenStable()
    }
    await type('12')
    expect(text()).toContain('12° is not possible here, it lies between 30° and 85°')
    expect(look().feet.LF.untrimmed).toEqual({})
    await type('48')
    expect(text()).not.toContain('is not possible')
    expect(look().feet.LF.untrimmed).toEqual({ toeAngle: 48 })
  })
})
