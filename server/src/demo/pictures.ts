import { SIDES, type StoredPicture } from '@crescent/core'
import type { Practice } from '../practice'
import { madeRadiograph, madeSole } from './made-pictures'
import { idFor } from './made-up'
import type { Demo } from './schema'

/** How far the bone stood from the wall at each of the last visits, degrees: founder, and what came of it. */
const COURSE = [11, 8.5, 6]

/** Pictures of the left fore of horses that foundered, from the last visits: a lateral radiograph and the sole. */
export async function seedPictures(practice: Practice, demo: Demo): Promise<void> {
  for (const horse of demo.horses.filter(({ look }) => look?.vet?.diagnosis === 'founder')) {
    const visits = practice.visits
      .list('horse_id = @horseId ORDER BY date DESC LIMIT @most', {
        horseId: idFor('horse', horse.name),
        most: COURSE.length,
      })
      .reverse()
    for (const [i, { id: visitId }] of visits.entries()) {
      const keep = (what: string, picture: Omit<StoredPicture, 'id' | 'version' | 'visitId' | 'side'>) =>
        practice.pictures.bringIn({
          ...{ id: idFor(what, visitId), version: 1, visitId, side: SIDES[0] },
          ...picture,
        })
      const rotation = COURSE[COURSE.length - visits.length + i]!
      keep('picture', await madeRadiograph(rotation, 12 + i * 2))
      const [record] = practice.footRecords.list("visit_id = @visitId AND side = 'LF'", { visitId })
      if (record) keep('sole', await madeSole(record.foot))
    }
  }
}
