import type { DeepPicture } from './deep-picture'

/** How high a pixel is and how wide, in a measure of their own; both alike where nobody says. */
export type PixelShape = readonly [high: number, wide: number]

/** What differs by less is square. */
const ALIKE = 0.002

/** Pixels no more than so many times as long one way as the other are a picture; else their shape is a slip. */
const LONGEST = 8

/** What a file says of the shape of its pixels: spacings down and across, mm, and a proportion. */
export interface SaidShape {
  pixelSpacing: readonly number[]
  imagerSpacing: readonly number[]
  aspect: readonly number[]
}

/**
 * The one shape of pixels a file tells, in whatever words.
 *
 * @returns undefined where it tells two shapes, or one that cannot be
 */
export function pixelShape({ pixelSpacing, imagerSpacing, aspect }: SaidShape): PixelShape | undefined {
  const shapes = [pixelSpacing, imagerSpacing, aspect].flatMap(([high, wide]): PixelShape[] =>
    high !== undefined && wide !== undefined ? [[high, wide]] : [],
  )
  const [first, ...others] = shapes
  if (!first) return [1, 1]
  const [high, wide] = first
  const turned = ([a, b]: PixelShape) => Math.log(a / b)
  if (!(high > 0 && wide > 0) || Math.abs(turned(first)) > Math.log(LONGEST)) return undefined
  return others.every((other) => Math.abs(turned(other) - turned(first)) < ALIKE) ? first : undefined
}

/** Whether pixels are as high as they are wide. */
export const isSquare = ([high, wide]: PixelShape): boolean => Math.abs(high / wide - 1) < ALIKE

/**
 * The same picture in square pixels as small as its pixels were the shorter way: between two of the old ones a value lies
 * between theirs.
 */
export function inSquarePixels(picture: DeepPicture, [high, wide]: PixelShape): DeepPicture {
  const { width, height, data } = picture
  const [toWidth, toHeight] =
    high > wide ? [width, Math.round((height * high) / wide)] : [Math.round((width * wide) / high), height]
  const drawn = new Float32Array(toWidth * toHeight)
  const place = (at: number, from: number, to: number): [number, number] => {
    const exact = Math.min(from - 1, Math.max(0, ((at + 0.5) * from) / to - 0.5))
    const low = Math.min(from - 2, Math.floor(exact))
    return [Math.max(0, low), exact - Math.max(0, low)]
  }
  const across = Array.from({ length: toWidth }, (_, x) => place(x, width, toWidth))
  for (let y = 0, to = 0; y < toHeight; y++) {
    const [row, down] = place(y, height, toHeight)
    const upper = row * width
    const lower = Math.min(height - 1, row + 1) * width
    for (const [column, right] of across) {
      const next = Math.min(width - 1, column + 1)
      const above = data[upper + column]! * (1 - right) + data[upper + next]! * right
      const below = data[lower + column]! * (1 - right) + data[lower + next]! * right
      drawn[to++] = above * (1 - down) + below * down
    }
  }
  return { width: toWidth, height: toHeight, data: drawn }
}
