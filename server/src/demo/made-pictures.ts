import sharp from 'sharp'
import type { FootInput, StoredPicture, Vec } from '@crescent/core'
import { madeUpPhotograph, madeUpRadiograph } from '@crescent/core/made-up'
import { fromAbove, cardSeen } from '@crescent/core/photo-tracing'
import { aboveOf, inAbove, placeAt } from '@crescent/core/photographs'

/** A picture without its place in the practice. */
type Made = Omit<StoredPicture, 'id' | 'version' | 'visitId' | 'side'>

/** Pixels across: enough to be marked, and soon made. */
const WIDE = 800
const PHOTO_WIDE = 1100
const QUALITY = 80

/** A lateral radiograph of a foundered foot, with its marks. */
export async function madeRadiograph(rotation: number, soleTip: number): Promise<Made> {
  const { picture, truth } = madeUpRadiograph({
    ...{ seed: 31, width: WIDE },
    limb: { rotation, palmarAngle: 4 + rotation * 0.9, wallAngle: 50, soleTip, sinking: 9 },
  })
  const { width, height, data } = picture
  const grey = Uint8Array.from(data, (value) => value >> 6)
  const file = await sharp(grey, { raw: { width, height, channels: 1 } })
    .jpeg({ quality: QUALITY })
    .toBuffer()
  return {
    ...{ kind: 'radiograph', name: 'lateral', width, height, mmPerPixel: truth.mmPerPixel },
    marks: Object.fromEntries(Object.entries(truth.points).map(([key, [x, y]]) => [key, [x, y]])),
    file: file.toString('base64'),
  }
}

/** The sole of a foot photographed with the scale card, kept as the Bench keeps it: from straight above. */
export async function madeSole(foot: FootInput): Promise<Made> {
  const { picture, truth } = madeUpPhotograph({
    ...{ seed: 41, foot, ground: 'concrete', width: PHOTO_WIDE, tilt: 8, tapping: 0 },
  })
  const seen = cardSeen(picture)
  if (!seen.ok) throw new Error(seen.problem)
  const places = Object.entries(truth.taps).map(([key, at]) => [key, placeAt(seen.view, at)] as const)
  const place = (key: string): Vec => places.find(([each]) => each === key)![1]
  const heels = [place('lateralHeel'), place('medialHeel')] as const
  const frame = aboveOf(truth.outline, place('toe'), heels, seen.view)
  const { width, height, data } = fromAbove(picture, seen.view, frame)
  const file = await sharp(data, { raw: { width, height, channels: 4 } })
    .jpeg({ quality: QUALITY })
    .toBuffer()
  return {
    ...{ kind: 'sole', name: 'sole', width, height, mmPerPixel: frame.mmPerPixel },
    marks: Object.fromEntries(
      places.map(([key, at]) => {
        const [x, y] = inAbove(frame, at)
        return [key, [x, y]]
      }),
    ),
    file: file.toString('base64'),
  }
}
