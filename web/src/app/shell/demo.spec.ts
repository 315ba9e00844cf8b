import { TestBed } from '@angular/core/testing'
import { MatDialog } from '@angular/material/dialog'
import type { Beginning, PracticeFacts } from '@crescent/core'
import { of } from 'rxjs'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { Api } from '../state/api'
import { show, STORE } from '../testing/samples'
import { BeginDialog } from './begin-dialog'
import { DemoBar } from './demo-bar'
import { lossesText } from './losses-text'
import { OpenPractice } from './practice'

const DEMO: PracticeFacts = { name: 'Demo practice', demo: true, empty: false, aside: null, usual: null }

function open(facts: PracticeFacts) {
  const begin = vi.fn((_: Beginning) => of({ ...facts, demo: false, horseId: 'h1' }))
  const swap = vi.fn(() => of(facts))
  const api = { practice: () => of(facts), beginPractice: begin, swapPractice: swap }
  const dialog = { open: vi.fn() }
  TestBed.configureTestingModule({
    providers: [...STORE, { provide: Api, useValue: api }, { provide: MatDialog, useValue: dialog }],
  })
  const left = vi.spyOn(TestBed.inject(OpenPractice), 'leaveTo').mockImplementation(() => undefined)
  return { begin, swap, dialog, left }
}

beforeEach(() => TestBed.resetTestingModule())

describe('DemoBar', () => {
  it('says that the demo is one, with the way out', async () => {
    const { dialog } = open(DEMO)
    const { text, press } = await show(DemoBar)
    expect(text()).toContain('Demo: made-up horses')
    await press('Begin my own practice')
    await vi.waitFor(() => expect(dialog.open).toHaveBeenCalledTimes(1))
  })

  it('leads back to a practice of one’s own, and is silent in it', async () => {
    const { swap, left } = open({ ...DEMO, aside: 'own' })
    const { press } = await show(DemoBar)
    await press('Back to my practice')
    expect(swap).toHaveBeenCalledTimes(1)
    expect(left).toHaveBeenCalledWith('/round')
    TestBed.resetTestingModule()
    open({ ...DEMO, demo: false })
    expect((await show(DemoBar)).text().trim()).toBe('')
    TestBed.resetTestingModule()
    open({ ...DEMO, demo: false, name: '', empty: true })
    expect((await show(DemoBar)).text()).toContain('Set it up')
  })
})

describe('BeginDialog', () => {
  it('asks for a name, then begins with bar, fit and first horse', async () => {
    const { begin, left } = open(DEMO)
    const { element, press, text } = await show(BeginDialog)
    await press('Begin')
    expect(begin).not.toHaveBeenCalled()
    expect(text()).toContain('A name is needed')
    const type = (name: string, value: string) => {
      const input = element.querySelector<HTMLInputElement>(`[formControlName="${name}"]`)!
      input.value = value
      input.dispatchEvent(new Event('input'))
    }
    type('name', ' Forge by the mill ')
    type('horse', 'Bramble')
    await press('Begin')
    expect(begin.mock.calls[0]![0]).toMatchObject({
      name: 'Forge by the mill',
      usual: { fit: 'general', section: { material: 'steel' } },
      horse: { name: 'Bramble', owner: '' },
    })
    expect(left).toHaveBeenCalledWith('/stable/h1')
  })
})

describe('what putting a backup back would lose', () => {
  it('is named, and counted beyond that', () => {
    const brings = { horses: 1, visits: 3 }
    expect(lossesText({ records: 0, horses: [], moreHorses: 0, brings })).toContain(
      'Nothing that is here now',
    )
    const text = lossesText({ records: 7, horses: ['Fig', 'Moss'], moreHorses: 2, brings })
    expect(text).toContain('7 newer records of Fig, Moss and 2 more horses would be lost')
    expect(text).toContain('kept as a copy')
  })
})
