import { leadTo } from '../../database/names'
import { Conflict } from '../../database/record-table'
import { Refused } from '../../http/door'
import type { Practice } from '../../practice'

/** Notes of two records that become one: nothing anybody wrote is lost. */
const bothNotes = (kept: string, other: string, name: string): string =>
  [kept, other && other !== kept ? `From the record of ${name}: ${other}` : ''].filter(Boolean).join('\n')

/** Which two become one, and in which versions they were seen, where that is said. */
export interface Joined {
  keptId: string
  otherId: string
  version?: number | undefined
  otherVersion?: number | undefined
}

interface One {
  name: string
  archived: boolean
  version: number
}

/**
 * Nobody finds what is joined into an archived record, and one that was joined already has nothing left: two who join
 * each other would both be lost.
 */
function checkBoth(
  kept: One,
  other: One,
  { version, otherVersion }: Pick<Joined, 'version' | 'otherVersion'>,
): void {
  for (const { name, archived } of [kept, other])
    if (archived)
      throw new Refused(`${name} is archived, perhaps joined with another already: bring it back first`)
  if (version !== undefined && kept.version !== version) throw new Conflict(kept)
  if (otherVersion !== undefined && other.version !== otherVersion) throw new Conflict(other)
}

/**
 * Two records of one horse become one: visits, feet, looks and patterns of the other go to the first with all their
 * versions; the other is archived, empty, and says where its history went. Its id leads to the first from now on.
 *
 * @returns the horse that is kept, or undefined where one of them is not here
 * @throws Refused where one of them is archived; Conflict where one was changed since it was seen
 */
export function joinHorses(practice: Practice, { keptId, otherId, ...versions }: Joined) {
  const { db, horses } = practice
  return db
    .transaction(() => {
      const kept = horses.itself(keptId)
      const other = horses.itself(otherId)
      if (!kept || !other) return undefined
      checkBoth(kept, other, versions)
      // A window that still shows a moved visit must not write it back to where it was.
      db.prepare('UPDATE visits SET horse_id = ?, version = version + 1 WHERE horse_id = ?').run(
        keptId,
        otherId,
      )
      db.prepare(
        `UPDATE pattern_versions SET body = json_set(body, '$.horseId', ?)
         WHERE pattern_id IN (SELECT id FROM patterns WHERE horse_id = ?)`,
      ).run(keptId, otherId)
      db.prepare('UPDATE patterns SET horse_id = ? WHERE horse_id = ?').run(keptId, otherId)
      db.prepare('UPDATE courses SET horse_id = ?, version = version + 1 WHERE horse_id = ?').run(
        keptId,
        otherId,
      )
      db.prepare('UPDATE calls SET horse_id = ?, version = version + 1 WHERE horse_id = ?').run(
        keptId,
        otherId,
      )
      horses.put({ ...other, archived: true, notes: `${other.notes}\nJoined into ${kept.name}.`.trim() })
      leadTo(db, otherId, keptId)
      return horses.put({
        ...kept,
        ownerId: kept.ownerId ?? other.ownerId,
        notes: bothNotes(kept.notes, other.notes, other.name),
      })
    })
    .immediate()
}

/**
 * Two records of one owner become one: the horses of the other go to the first, what the first lacks is taken over,
 * the other is archived.
 *
 * @returns the owner that is kept, or undefined where one of them is not here
 * @throws Refused where one of them is archived; Conflict where one was changed since it was seen
 */
export function joinOwners(practice: Practice, { keptId, otherId, ...versions }: Joined) {
  const { db, horses, owners } = practice
  return db
    .transaction(() => {
      const kept = owners.itself(keptId)
      const other = owners.itself(otherId)
      if (!kept || !other) return undefined
      checkBoth(kept, other, versions)
      for (const horse of horses.list('owner_id = @id', { id: otherId }))
        horses.put({ ...horse, ownerId: keptId })
      owners.put({ ...other, archived: true, notes: `${other.notes}\nJoined into ${kept.name}.`.trim() })
      leadTo(db, otherId, keptId)
      return owners.put({
        ...kept,
        phone: kept.phone || other.phone,
        email: kept.email || other.email,
        place: kept.place || other.place,
        notes: bothNotes(kept.notes, other.notes, other.name),
      })
    })
    .immediate()
}
