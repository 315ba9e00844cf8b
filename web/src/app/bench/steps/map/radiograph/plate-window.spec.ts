import { TestBed } from '@angular/core/testing'
import { signal } from '@angular/core'
import { beforeEach, expect, it, vi } from 'vitest'
import { show } from '../../../../testing/samples'
import { freshPlate, type Plate } from './plate'
import type { OpenedPlate } from './plate-work'
import { PlateWindow } from './plate-window'
import { Radiograph } from './radiograph'

const whole = { centre: 2000, width: 4000 }
const usual = { centre: 1500, width: 1000 }
const opened: OpenedPlate = {
  ...{ ok: true, width: 1200, height: 960, inverted: false, told: [], scale: { by: 'unsaid' } },
  windows: { usual, whole },
}
const plate = signal<Plate>(freshPlate('a.png', { seed: 1 }, opened))
const shown = vi.fn()
beforeEach(() => {
  shown.mockClear()
  plate.set(freshPlate('a.png', { seed: 1 }, opened))
  TestBed.configureTestingModule({ providers: [{ provide: Radiograph, useValue: { plate, show: shown } }] })
})
const slide = (element: HTMLElement, at: number, to: number) => {
  const slider = element.querySelectorAll<HTMLInputElement>('input[type=range]')[at]!
  slider.value = String(to)
  slider.dispatchEvent(new Event('input'))
}

it('offers what the file wants only where it wants something', async () => {
  const view = await show(PlateWindow)
  expect(view.text()).not.toContain('As the file says')
  await view.press('All')
  expect(shown).toHaveBeenLastCalledWith(whole, false)
  plate.set(
    freshPlate('a.dcm', { seed: 1 }, { ...opened, windows: { usual, whole, file: { centre: 1, width: 2 } } }),
  )
  await view.fixture.whenStable()
  await view.press('As the file says')
  expect(shown).toHaveBeenLastCalledWith({ centre: 1, width: 2 }, false)
})

it('is brighter the further right, and sharper in contrast, and stands where it was put', async () => {
  const { element } = await show(PlateWindow)
  const standing = [...element.querySelectorAll<HTMLInputElement>('input[type=range]')].map(
    (one) => one.value,
  )
  // The usual window of 1000 is an eighth of the widest: 45 steps of a hundred, each as much narrower.
  expect(standing).toEqual(['63', '45'])
  slide(element, 0, 75)
  // A quarter of all greys further: darker values become white.
  expect(shown).toHaveBeenLastCalledWith({ centre: 1000, width: 1000 }, false)
  slide(element, 1, 100)
  expect(shown.mock.lastCall![0]).toMatchObject({ centre: 1500 })
  expect(shown.mock.lastCall![0].width).toBeCloseTo(80, 9)
  slide(element, 1, 50)
  expect(shown.mock.lastCall![0].width).toBeCloseTo(800, 9)
})
