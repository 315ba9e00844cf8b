import type { ComponentFixture } from '@angular/core/testing'
import { TestBed } from '@angular/core/testing'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { nothingResizes } from '../testing/resizing'
import { show, STORE } from '../testing/samples'
import { PictureSheet, type PictureMark } from './picture-sheet'

/** A pixel of the picture is a pixel of the screen here. */
class Point {
  constructor(
    readonly x: number,
    readonly y: number,
  ) {}
  matrixTransform = (): Point => this
}
const MARKS: PictureMark[] = [
  { key: 'set', label: 'Set', at: [100, 100] },
  { key: 'knot', label: 'Knot', at: [300, 100], small: true },
  { key: 'maybe', label: 'Maybe?', at: [200, 300], likely: true },
]

let told: string[]
let fixture: ComponentFixture<PictureSheet>
let sheet: SVGSVGElement
beforeEach(async () => {
  vi.stubGlobal('DOMPoint', Point)
  nothingResizes()
  TestBed.configureTestingModule({ providers: STORE })
  const inputs = { href: 'data:,', size: { width: 800, height: 600 }, label: 'Picture', marks: MARKS }
  const shown = await show(PictureSheet, inputs)
  fixture = shown.fixture
  sheet = shown.element.querySelector('svg')!
  Object.assign(sheet, { getScreenCTM: () => ({ inverse: () => ({}) }), setPointerCapture: () => undefined })
  told = []
  const { tapped, held, pulled, released, removed } = fixture.componentInstance
  tapped.subscribe(([x, y]) => told.push(`tapped ${x} ${y}`))
  held.subscribe((key) => told.push(`held ${key}`))
  pulled.subscribe(({ key, at }) => told.push(`pulled ${key} ${at.map(Math.round).join(' ')}`))
  released.subscribe((key) => told.push(`released ${key}`))
  removed.subscribe((key) => told.push(`removed ${key}`))
})
afterEach(() => vi.unstubAllGlobals())

const pointer = (type: string, clientX: number, clientY: number) =>
  sheet.dispatchEvent(new MouseEvent(type, { clientX, clientY, button: 0, cancelable: true }))
const key = (on: Element, name: string, shiftKey = false) =>
  on.dispatchEvent(new KeyboardEvent('keydown', { key: name, shiftKey, bubbles: true }))
const mark = (name: string) => sheet.querySelector(`[data-mark="${name}"]`)!

describe('a picture that is marked', () => {
  it('tells where it was tapped, when the finger is lifted', () => {
    pointer('pointerdown', 500, 400)
    pointer('pointermove', 510, 405)
    expect(told).toEqual([])
    pointer('pointerup', 510, 405)
    expect(told).toEqual(['tapped 510 405'])
  })

  it('pulls the mark a finger takes hold of', () => {
    pointer('pointerdown', 108, 104)
    pointer('pointermove', 140, 120)
    pointer('pointerup', 140, 120)
    expect(told).toEqual(['held set', 'pulled set 140 120', 'released set'])
  })

  it('takes a touch that rests on a mark for a tap beside it, but not on one of many small ones', () => {
    pointer('pointerdown', 108, 104)
    pointer('pointermove', 109, 104)
    pointer('pointerup', 109, 104)
    expect(told).toEqual(['held set', 'released set', 'tapped 109 104'])
    told = []
    pointer('pointerdown', 302, 101)
    pointer('pointerup', 302, 101)
    expect(told).toEqual(['held knot', 'released knot'])
  })

  it('a mark that is only proposed catches no finger: the place is where the finger is', () => {
    pointer('pointerdown', 205, 303)
    pointer('pointerup', 205, 303)
    expect(told).toEqual(['tapped 205 303'])
  })

  it('by keys: a mark is moved and taken away, the cross is moved and set', () => {
    key(mark('maybe'), 'ArrowRight', true)
    expect(told).toEqual(['held maybe', 'pulled maybe 207 300', 'released maybe'])
    told = []
    key(mark('set'), 'Delete')
    expect(told).toEqual(['removed set'])
    told = []
    key(sheet, 'Enter')
    expect(told).toEqual([])
    key(sheet, 'ArrowLeft', true)
    key(sheet, 'Enter')
    expect(told.map((one) => one.replace(/\.\d+/g, ''))).toEqual(['tapped 392 300'])
  })

  it('that is only looked at takes nothing', async () => {
    fixture.componentRef.setInput('still', true)
    await fixture.whenStable()
    pointer('pointerdown', 500, 400)
    pointer('pointerup', 500, 400)
    expect(told).toEqual([])
    expect([sheet.getAttribute('role'), sheet.getAttribute('tabindex')]).toEqual(['img', null])
  })

  it('whose drags are told as such tells how far each went, as shares of its width, and sets nothing', async () => {
    const dragged: number[][] = []
    fixture.componentInstance.dragged.subscribe(([right, up]) => dragged.push([right, up]))
    fixture.componentRef.setInput('drags', true)
    await fixture.whenStable()
    pointer('pointermove', 90, 90)
    pointer('pointerdown', 100, 100)
    pointer('pointermove', 164, 100)
    pointer('pointermove', 164, 36)
    pointer('pointerup', 164, 36)
    pointer('pointermove', 300, 300)
    // The sheet is taken as 640 pixels wide until it was seen.
    expect(dragged).toEqual([
      [0.1, 0],
      [0, 0.1],
    ])
    expect(told).toEqual([])
  })
})
