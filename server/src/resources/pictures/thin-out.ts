import { Conflict } from '../../database/record-table'
import type { Practice } from '../../practice'
import { thinned, THINNED } from './made-smaller'
import type { PicturesWeight } from './table'

/** How many pictures of visits before a day can be made smaller, and what they weigh now. */
export function canBeThinned({ pictures }: Practice, before: string): PicturesWeight {
  const large = pictures.larger(before, THINNED.wide)
  return { pictures: large.length, bytes: large.reduce((sum, { bytes }) => sum + bytes, 0) }
}

/**
 * Makes the pictures of visits before a day smaller, one after the other; what was marked on them stays.
 *
 * @returns how many were, how many bytes that freed, and how many cannot be read and stay as they are
 */
export async function thinOut(
  practice: Practice,
  before: string,
): Promise<PicturesWeight & { broken: number }> {
  const { pictures } = practice
  const done = { pictures: 0, bytes: 0, broken: 0 }
  for (const { id, bytes } of pictures.larger(before, THINNED.wide)) {
    const picture = pictures.get(id)
    if (!picture) continue
    const small = await thinned(picture).catch(() => undefined)
    if (!small) {
      // Broken as it was stored: the others are made smaller all the same.
      done.broken++
      continue
    }
    const now = Math.round((small.file.length * 3) / 4)
    if (now >= bytes) continue
    try {
      pictures.put(small)
    } catch (error) {
      // Marked anew while it was packed: it stays as it is, for the next time.
      if (error instanceof Conflict) continue
      throw error
    }
    done.pictures++
    done.bytes += bytes - now
  }
  return done
}
