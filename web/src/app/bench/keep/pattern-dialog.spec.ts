import { TestBed } from '@angular/core/testing'
import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog'
import { MatDialog } from '@angular/material/dialog'
import { PLAIN_SHOE } from '@crescent/core'
import { of, throwError } from 'rxjs'
import { beforeEach, expect, it, vi } from 'vitest'
import { Api } from '../../state/api'
import { FOOT, pattern, show, STORE } from '../../testing/samples'
import { Photos } from '../steps/map/photo/photos'
import { PatternDialog, type PatternDialogData } from './pattern-dialog'

const closed = vi.fn()
const found = vi.fn(() => of([{ pattern: pattern('p9', { horseId: 'other' }), horseName: 'Nettle' }]))
const near = vi.fn(() =>
  of([
    {
      ...{ pattern: pattern('p8'), horseName: 'Sorrel', distance: 1.2, mirrored: true },
      byRegion: [{ half: 'lateral', region: 'quarter', mean: 1.6 }],
    },
  ]),
)
const taken = {
  foot: { trace: [[40, -60] as [number, number]], width: 131, length: 133, heelWidth: 90 },
  figures: { frogApex: 33 },
}
const horsePage = vi.fn()
let data: PatternDialogData
let photographed: typeof taken | undefined
beforeEach(() => {
  for (const each of [closed, found, near]) each.mockClear()
  photographed = taken
  horsePage.mockReset().mockReturnValue(of({ patterns: [pattern('p1')] }))
  data = {
    ...{ patterns: [pattern('p1')], side: 'LF', horseId: 'horse', footWidth: 127 },
    ...{ foot: { ...FOOT, lateralHalfWidth: 64, bulbLine: 15 }, shoe: PLAIN_SHOE },
  }
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      { provide: MatDialog, useValue: {} },
      { provide: MatDialogRef, useValue: { close: closed } },
      { provide: MAT_DIALOG_DATA, useFactory: () => data },
      { provide: Photos, useValue: { foot: () => Promise.resolve(photographed) } },
      {
        provide: Api,
        useValue: {
          ...{ patternTags: () => of(['road']), findPatterns: found, nearestPatterns: near },
          horsePage,
        },
      },
    ],
  })
})

it('an old pattern that was photographed becomes this foot’s outline, under the shoe as it is', async () => {
  const view = await show(PatternDialog)
  await view.press('From a photograph')
  const { pattern: drawn, withFoot } = closed.mock.lastCall![0]
  expect(withFoot).toBe(true)
  expect(drawn).toMatchObject({ version: 0, horseId: '', side: 'LF', shoe: PLAIN_SHOE })
  expect(drawn.foot).toMatchObject({
    ...{ width: 131, length: 133, heelWidth: 90, heelMeasure: 'outside', trace: taken.foot.trace },
    // What an outline does not tell stays as it was measured; a place that was tapped is read.
    ...{ toeAngle: 52, wallThickness: 9.5, bulbLine: 15, frogApex: 33 },
  })
  // What it tells by itself is not typed beside it.
  expect(drawn.foot).not.toHaveProperty('lateralHalfWidth')
})

it('where no photograph was taken nothing happens', async () => {
  photographed = undefined
  const view = await show(PatternDialog)
  await view.press('From a photograph')
  expect(closed).not.toHaveBeenCalled()
})

it('a foot that was not measured is asked for first', async () => {
  data = { ...data, foot: undefined }
  const view = await show(PatternDialog)
  await view.press('From a photograph')
  expect(view.element.querySelector('[role=alert]')!.textContent).toContain('measure this foot first')
  expect(closed).not.toHaveBeenCalled()
})

it('finds by words for feet as wide, and by shape once it is asked for', async () => {
  const view = await show(PatternDialog)
  expect(near).not.toHaveBeenCalled()
  await view.press('All horses')
  await vi.waitFor(() => expect(view.text()).toContain('Nettle'))
  expect(found).toHaveBeenLastCalledWith({
    ...{ search: '', modification: '', tag: '', section: undefined, width: 127 },
  })
  await view.press('Most alike')
  await vi.waitFor(() => expect(view.text()).toContain('Sorrel'))
  expect(near).toHaveBeenCalledTimes(1)
  expect(view.text()).toMatch(/off, mirrored; this foot .* wider at the outer quarter/)
  view.element.querySelector<HTMLButtonElement>('li button')!.click()
  expect(closed).toHaveBeenLastCalledWith(
    expect.objectContaining({ horse: 'Sorrel', mirrored: true, withFoot: false }),
  )
})

it('patterns of this horse are drawn once their lines are there, and stand by their names where they are not', async () => {
  const {
    result: { outline: _outline, ...result },
    ...rest
  } = pattern('p1')
  data = { ...data, patterns: [{ ...rest, result }] }
  expect((await show(PatternDialog)).element.querySelectorAll('cr-small-shoe')).toHaveLength(1)
  expect(horsePage).toHaveBeenCalledWith('horse')
  horsePage.mockReturnValue(throwError(() => new Error('out of reach')))
  const without = await show(PatternDialog)
  expect(without.element.querySelectorAll('cr-small-shoe')).toHaveLength(0)
  expect(without.text()).toContain(rest.name)
})
