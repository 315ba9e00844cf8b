import { Injectable } from '@angular/core'
import { createStore, delMany, get, set, setMany } from 'idb-keyval'
import type { KeptFoot } from '../pictures/kept-pictures'
import type { MarkedPhoto, PhotoComingIn } from './photo-coming-in'

type Pictured = ReturnType<PhotoComingIn['object']>

/** A photograph that was begun, as it lies in this browser. */
export interface ShelvedPhoto {
  file: File
  marked: MarkedPhoto
  /** The foot it was taken of; none where the Bench had no visit. */
  foot: KeptFoot | undefined
  /** When it was begun, ms since 1970. */
  at: number
}

const places = createStore('crescent-photographs', 'unfinished')

/**
 * One photograph of a sole and one of a shoe, kept in this browser. What is marked lies apart from the file, so that a tap
 * does not write megabytes. A full or forbidden store never stops the work, so failures are quiet.
 */
@Injectable({ providedIn: 'root' })
export class PhotoShelf {
  async read(object: Pictured): Promise<ShelvedPhoto | undefined> {
    const [photo, marks] = keysOf(object)
    return quietly(async () => {
      const begun = await get<Omit<ShelvedPhoto, 'marked'>>(photo, places)
      const marked = await get<MarkedPhoto>(marks, places)
      return begun && marked && { ...begun, marked }
    })
  }

  async put(object: Pictured, { marked, ...begun }: ShelvedPhoto): Promise<void> {
    const [photo, marks] = keysOf(object)
    await quietly(() =>
      setMany(
        [
          [photo, begun],
          [marks, marked],
        ],
        places,
      ),
    )
  }

  async mark(object: Pictured, marked: MarkedPhoto): Promise<void> {
    await quietly(() => set(keysOf(object)[1], marked, places))
  }

  async clear(object: Pictured): Promise<void> {
    await quietly(() => delMany(keysOf(object), places))
  }
}

const keysOf = (object: Pictured): [photo: string, marks: string] => [`${object}.photo`, `${object}.marks`]

async function quietly<T>(work: () => Promise<T>): Promise<T | undefined> {
  try {
    return await work()
  } catch {
    return undefined
  }
}
