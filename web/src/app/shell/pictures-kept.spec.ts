import { TestBed } from '@angular/core/testing'
import { MatDialog } from '@angular/material/dialog'
import { of, throwError } from 'rxjs'
import { beforeEach, expect, it, vi } from 'vitest'
import { Api } from '../state/api'
import { show, STORE } from '../testing/samples'
import { PicturesKept } from './pictures-kept'

let sure: boolean
let left: { pictures: number; bytes: number }
const asked = vi.fn()
const thin = vi.fn()
const api = {
  picturesWeight: () => of({ pictures: 7, bytes: 12_340_000 }),
  picturesToThin: (before: string) => {
    asked(before)
    return of(left)
  },
  thinPictures: (before: string) => thin(before),
}
beforeEach(() => {
  ;[sure, left] = [true, { pictures: 3, bytes: 9_000_000 }]
  asked.mockClear()
  thin.mockReset()
  thin.mockImplementation(() => {
    left = { pictures: 0, bytes: 0 }
    return of({ pictures: 3, bytes: 8_100_000, broken: 1 })
  })
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2026-03-01T12:00:00') })
  TestBed.configureTestingModule({
    providers: [
      ...STORE,
      { provide: Api, useValue: api },
      { provide: MatDialog, useValue: { open: () => ({ afterClosed: () => of(sure) }) } },
    ],
  })
})

it('says what pictures weigh, which are old, and makes those smaller once that is agreed to', async () => {
  const view = await show(PicturesKept)
  expect(view.text()).toContain('7 pictures are kept with visits: 12.3 MB')
  expect(view.text()).toContain('3 pictures, 9.0 MB')
  expect(asked).toHaveBeenLastCalledWith('2024-03-01')
  const select = view.element.querySelector('select')!
  select.value = '1'
  select.dispatchEvent(new Event('change'))
  await view.fixture.whenStable()
  expect(asked).toHaveBeenLastCalledWith('2025-03-01')
  sure = false
  await view.press('Make them smaller')
  expect(thin).not.toHaveBeenCalled()
  sure = true
  await view.press('Make them smaller')
  await vi.waitFor(() =>
    expect(view.text()).toContain('3 pictures made smaller: 8.1 MB less. One picture cannot be read'),
  )
  expect(thin).toHaveBeenCalledWith('2025-03-01')
  expect(view.text()).toContain('none that is large')
  expect(view.element.querySelector<HTMLButtonElement>('button')!.disabled).toBe(true)
})

it('what went wrong is said; where there are no pictures nothing is', async () => {
  thin.mockImplementation(() => throwError(() => new Error('no')))
  const view = await show(PicturesKept)
  await view.press('Make them smaller')
  await vi.waitFor(() => expect(view.text()).toContain('went wrong'))
  const none = vi.spyOn(api, 'picturesWeight').mockReturnValue(of({ pictures: 0, bytes: 0 }))
  expect((await show(PicturesKept)).text()).toBe('')
  none.mockRestore()
})
