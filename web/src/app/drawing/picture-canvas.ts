import type { Vec } from '@crescent/core'

/** How much larger the magnifier shows what is under the finger. */
export const LARGER = 3

/** A part of a picture, pixels of the picture. */
export interface Part {
  x: number
  y: number
  width: number
  height: number
}

/** The magnifier: where it stands, how wide half of it is, and what it shows the middle of; pixels of the picture. */
export interface Loupe {
  x: number
  y: number
  r: number
  at: Vec
}

/** A circle as a path. */
export const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`

/**
 * Draws the part that is looked at over the whole canvas, as fine as the bitmap is.
 *
 * @param wide how wide the whole picture is, in the pixels the part is told in; the bitmap may be coarser
 */
export function drawPart(
  canvas: HTMLCanvasElement,
  bitmap: ImageBitmap,
  { x, y, width, height }: Part,
  wide: number,
): void {
  const by = bitmap.width / wide
  canvas.width = Math.round(width * by)
  canvas.height = Math.round(height * by)
  canvas
    .getContext('2d')
    ?.drawImage(bitmap, x * by, y * by, width * by, height * by, 0, 0, canvas.width, canvas.height)
}

/**
 * Draws what the magnifier shows, and nothing beside it, on a canvas that lies over the part that is looked at.
 *
 * @param finest pixels of the canvas to one of the picture, at most: finer than the screen is not seen, and takes long to clear
 */
export function drawLoupe(
  canvas: HTMLCanvasElement,
  bitmap: ImageBitmap,
  part: Part,
  wide: number,
  { x, y, r, at }: Loupe,
  finest: number,
): void {
  const by = bitmap.width / wide
  const fine = Math.min(by, finest)
  canvas.width = Math.round(part.width * fine)
  canvas.height = Math.round(part.height * fine)
  const context = canvas.getContext('2d')
  if (!context) return
  const half = r / LARGER
  context.clip(new Path2D(circle((x - part.x) * fine, (y - part.y) * fine, r * fine)))
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(
    bitmap,
    ...([(at[0] - half) * by, (at[1] - half) * by, 2 * half * by, 2 * half * by] as const),
    ...([(x - part.x - r) * fine, (y - part.y - r) * fine, 2 * r * fine, 2 * r * fine] as const),
  )
}
