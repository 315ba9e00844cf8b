import { PICTURE_SIGNS } from '@crescent/core'

/** What a picture that is kept is packed with, the first that is small enough. */
const QUALITIES = [0.85, 0.7, 0.5, 0.3]

/** A picture packed to be kept: a JPEG file in base 64, with its size in pixels. */
export interface KeptJpeg {
  file: string
  width: number
  height: number
}

/**
 * Packs a picture as well as there is room for in a record.
 *
 * @param packed packs it at a quality, 0 to 1
 * @returns nothing where it is too large at the poorest
 */
export async function keptJpeg(packed: (quality: number) => Promise<Blob>): Promise<string | undefined> {
  for (const quality of QUALITIES) {
    const file = base64(new Uint8Array(await (await packed(quality)).arrayBuffer()))
    if (file.length <= PICTURE_SIGNS) return file
  }
  return undefined
}

/** Bytes as the signs a record holds; so many at once, as no call takes millions of arguments. */
function base64(bytes: Uint8Array): string {
  let signs = ''
  for (let i = 0; i < bytes.length; i += 8_192) signs += String.fromCharCode(...bytes.subarray(i, i + 8_192))
  return btoa(signs)
}
