import type { Picture } from '@crescent/core/photographs'
import sharp from 'sharp'

/** A picture as a JPEG file, with the focal length of its camera where it is known (mm on 35 mm film). */
export function jpegOf({ width, height, data }: Picture, quality: number, focal35?: number): Promise<Buffer> {
  const image = sharp(data, { raw: { width, height, channels: 4 } }).removeAlpha()
  const told =
    focal35 === undefined ? image : image.withExif({ IFD2: { FocalLengthIn35mmFilm: String(focal35) } })
  return told.jpeg({ quality, chromaSubsampling: '4:2:0' }).toBuffer()
}
