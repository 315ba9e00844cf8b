import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { drawLoupe, drawPart } from './picture-canvas'

/** Half as fine as the picture it was drawn from, which is 1600 wide. */
const bitmap = { width: 800, height: 600 } as ImageBitmap
const part = { x: 400, y: 200, width: 800, height: 600 }
const drawn = vi.fn()
const context = { drawImage: drawn, clip: vi.fn(), fillRect: vi.fn() }
const canvas = () => ({ width: 0, height: 0, getContext: () => context }) as unknown as HTMLCanvasElement
beforeEach(() => {
  drawn.mockClear()
  vi.stubGlobal('Path2D', class {})
})
afterEach(() => vi.unstubAllGlobals())

it('a part is drawn over the whole canvas, by the pixels the bitmap has', () => {
  const on = canvas()
  drawPart(on, bitmap, part, 1600)
  expect([on.width, on.height]).toEqual([400, 300])
  expect(drawn).toHaveBeenCalledWith(bitmap, 200, 100, 400, 300, 0, 0, 400, 300)
})

it('the magnifier shows three times as large what lies about the finger, there where it stands', () => {
  const on = canvas()
  drawLoupe(on, bitmap, part, 1600, { x: 700, y: 400, r: 90, at: [600, 500] }, 10)
  // Thirty pixels of the picture each way, fifteen of the bitmap; ninety of the picture on the canvas, half as fine.
  expect(drawn).toHaveBeenCalledWith(bitmap, 285, 235, 30, 30, 105, 55, 90, 90)
  drawLoupe(on, bitmap, part, 1600, { x: 700, y: 400, r: 90, at: [600, 500] }, 0.25)
  // No finer than the screen.
  expect(on.width).toBe(200)
  expect(drawn).toHaveBeenLastCalledWith(bitmap, 285, 235, 30, 30, 52.5, 27.5, 45, 45)
})
