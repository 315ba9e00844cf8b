import sharp from 'sharp'
import { madeUpPhotograph, type PhotoWish } from '@crescent/core/made-up'
import type { Locator } from '@playwright/test'

/** A made-up photograph as a file that is chosen, and its truth. */
export async function madePhoto(wish: PhotoWish) {
  const { picture, truth } = madeUpPhotograph(wish)
  const { width, height, data } = picture
  const buffer = await sharp(data, { raw: { width, height, channels: 4 } })
    .jpeg({ quality: 85 })
    .toBuffer()
  return { file: { name: 'sole.jpg', mimeType: 'image/jpeg', buffer }, truth, width, height }
}

/** Where a pixel of the picture is seen on the screen. */
export const onScreen = (
  sheet: Locator,
  pixel: readonly [number, number],
): Promise<{ x: number; y: number }> =>
  sheet.evaluate((svg, [u, v]) => {
    const { x, y } = new DOMPoint(u, v).matrixTransform((svg as unknown as SVGSVGElement).getScreenCTM()!)
    return { x, y }
  }, pixel)
