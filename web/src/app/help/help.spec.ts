import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import { COMMON_SECTIONS, MODIFICATIONS, WORDS } from '@crescent/core'
import { Store } from '@ngrx/store'
import { modelPlan } from '../drawing/model-foot'
import { settingsActions } from '../state/settings/settings.feature'
import { show, STORE } from '../testing/samples'
import { HelpDialog } from './help-dialog'
import type { HelpPicture } from './help-picture'
import { ModelPicture } from './model-picture'
import { TOPICS } from './topics'
import { WordDialog } from './word-dialog'
import { WORD_PICTURES } from './word-pictures'
import { Worded } from './worded'

const provide = (data: unknown) =>
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      { provide: MAT_DIALOG_DATA, useValue: data },
      { provide: MatDialogRef, useValue: { close: () => undefined } },
    ],
  })

/** All places of a path. */
const places = (path: Element): [number, number][] =>
  [...path.getAttribute('d')!.matchAll(/(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)])

/** What is pointed out on a picture, and whether all of it lies on the sheet. */
async function drawn(picture: HelpPicture) {
  const { element, fixture } = await show(ModelPicture, { picture })
  const svg = element.querySelector('svg')!
  const [left, top, width, height] = svg.getAttribute('viewBox')!.split(' ').map(Number) as [
    number,
    number,
    number,
    number,
  ]
  const marks = [...svg.querySelectorAll('.rule, .area')].flatMap(places)
  const spots = [...svg.querySelectorAll('.end')].map((one): [number, number] => [
    Number(one.getAttribute('cx')),
    Number(one.getAttribute('cy')),
  ])
  const all = [...marks, ...spots]
  fixture.destroy()
  return {
    shapes: svg.querySelectorAll('path').length,
    marks: all.length,
    inside: all.every(([x, y]) => x >= left && x <= left + width && y >= top && y <= top + height),
  }
}

/** A bar for what is not made of steel. */
const ALUMINIUM = COMMON_SECTIONS.find(({ section }) => section.material === 'aluminium')!.section

describe('the pictures of help', () => {
  beforeEach(() => provide('map'))

  it('show what each of the words is, on the sheet', async () => {
    for (const [key, picture] of Object.entries(WORD_PICTURES)) {
      const { marks, inside, shapes } = await drawn(picture)
      expect(shapes, key).toBeGreaterThan(0)
      if (picture.view !== 'nail') expect(marks, key).toBeGreaterThan(0)
      expect(inside, key).toBe(true)
    }
  })

  it('belong to words that there are', () => {
    const keys = WORDS.map(({ key }) => key)
    expect(Object.keys(WORD_PICTURES).filter((key) => !keys.includes(key))).toEqual([])
  })

  it('can be drawn for every topic', async () => {
    for (const { key, lines } of TOPICS)
      for (const line of lines)
        for (const picture of [line.picture, ...(line.pictures ?? [])])
          if (picture)
            expect((await drawn(picture)).shapes, key).toBeGreaterThan(2 - Number(picture.view === 'cut'))
  })

  it('show a pricking nail as one, and a fine one coming out lower than it is placed', async () => {
    const label = async (picture: HelpPicture) => {
      const { element, fixture } = await show(ModelPicture, { picture })
      const text = element.querySelector('svg')!.getAttribute('aria-label')!
      fixture.destroy()
      return text
    }
    expect(await label(WORD_PICTURES['prick']!)).toContain('would prick')
    expect(await label({ view: 'nail', hole: 2 })).toContain('sound')
    expect(await label(WORD_PICTURES['fine']!)).not.toContain('sound')
  })
})

describe('the model foot', () => {
  it('can wear every modification', () => {
    for (const { kind } of MODIFICATIONS) {
      const section = kind === 'four-rail-plate' ? { section: ALUMINIUM } : {}
      expect(modelPlan({ ...section, modifications: [{ kind }] }).iron.cutLength, kind).toBeGreaterThan(200)
    }
  })
})

describe('HelpDialog', () => {
  it('opens at its topic and goes to others', async () => {
    provide('nail')
    const { text, press } = await show(HelpDialog)
    expect(text()).toContain('Help: Nail')
    await press('Save pattern')
    expect(text()).toContain('Help: Save pattern')
  })
  it('has topics of different names and keys', () => {
    expect(new Set(TOPICS.map(({ key }) => key)).size).toBe(TOPICS.length)
    expect(new Set(TOPICS.map(({ title }) => title)).size).toBe(TOPICS.length)
  })
})

describe('Worded', () => {
  it('keeps the sentence as it is, with its words as buttons', async () => {
    provide('')
    const text = 'Level from heel to heel, at the buttress line.'
    const { element } = await show(Worded, { text })
    expect(element.textContent).toBe(text)
    expect([...element.querySelectorAll('[role=button]')].map((one) => one.textContent)).toEqual([
      'heel',
      'buttress line',
    ])
  })
  it('beside a field is passed by with Tab and leaves the focus where it is', async () => {
    provide('')
    const { element } = await show(Worded, { text: 'the frog', beside: true })
    const word = element.querySelector<HTMLElement>('[role=button]')!
    expect(word.tabIndex).toBe(-1)
    expect(word.dispatchEvent(new MouseEvent('mousedown', { cancelable: true }))).toBe(false)
  })
})

describe('WordDialog', () => {
  it('writes its lengths in the unit that is chosen, and does not explain a word by itself', async () => {
    provide('widest-part')
    TestBed.inject(Store).dispatch(settingsActions.change({ changes: { unit: 'mm' } }))
    const { element, text } = await show(WordDialog)
    expect(text()).toContain('about 25.5 mm behind')
    expect([...element.querySelectorAll('[data-word]')].map((one) => one.getAttribute('data-word'))).toEqual([
      'apex',
      'bars',
    ])
  })
})
