import sharp from 'sharp'
import { madeUpRadiograph } from '@crescent/core/made-up'
import type { Practice } from '../practice'
import { idFor } from './made-up'
import type { Demo } from './schema'

/** Pixels across: enough to be marked. */
const WIDE = 800
/** How far the bone stood from the wall at each of the last visits, degrees: founder, and what came of it. */
const COURSE = [11, 8.5, 6]

/** Lateral radiographs of horses that foundered, of the left fore, from the last visits. */
export async function seedPictures(practice: Practice, demo: Demo): Promise<void> {
  for (const horse of demo.horses.filter(({ look }) => look?.vet?.diagnosis === 'founder')) {
    const visits = practice.visits
      .list('horse_id = @horseId ORDER BY date DESC LIMIT @most', {
        horseId: idFor('horse', horse.name),
        most: COURSE.length,
      })
      .reverse()
    for (const [i, visit] of visits.entries()) {
      const rotation = COURSE[COURSE.length - visits.length + i]!
      const { picture, truth } = madeUpRadiograph({
        ...{ seed: 31, width: WIDE },
        limb: { rotation, palmarAngle: 4 + rotation * 0.9, wallAngle: 50, soleTip: 12 + i * 2, sinking: 9 },
      })
      const { width, height, data } = picture
      const grey = Uint8Array.from(data, (value) => value >> 6)
      const file = await sharp(grey, { raw: { width, height, channels: 1 } })
        .jpeg({ quality: 80 })
        .toBuffer()
      practice.pictures.bringIn({
        ...{ id: idFor('picture', visit.id), version: 1, visitId: visit.id, side: 'LF', kind: 'radiograph' },
        ...{ name: 'lateral', width, height, mmPerPixel: truth.mmPerPixel },
        marks: Object.fromEntries(Object.entries(truth.points).map(([key, [x, y]]) => [key, [x, y]])),
        file: file.toString('base64'),
      })
    }
  }
}
