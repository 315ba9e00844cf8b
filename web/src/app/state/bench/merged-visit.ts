import { SIDES, type CloseList, type Side, type Visit, type VisitFeet } from '@crescent/core'
import { changedVisit, type VisitChanges } from './bench.state'

type Foot = NonNullable<VisitFeet[Side]>
type Closed = NonNullable<CloseList[Side]>

/**
 * A visit that two hands changed, put together: what only one of them changed is as he has it, notes of both stand one
 * below the other, what was ticked and put in stands foot by foot. Of two days for the next visit the earlier one.
 *
 * @param base the visit as it was read here before the change
 * @param theirs as it is stored by now
 */
export function mergedVisit(base: Visit, theirs: Visit, mine: VisitChanges): Visit {
  const { notes, closeList, nextDue, feet, ...rest } = mine
  return changedVisit(theirs, {
    ...rest,
    ...(notes !== undefined && { notes: bothTexts(base.notes, theirs.notes, notes) }),
    ...(nextDue !== undefined && { nextDue: bothDays(base.nextDue, theirs.nextDue, nextDue) }),
    ...(closeList && { closeList: bothLists(base.closeList, theirs.closeList, closeList) }),
    ...(feet && { feet: bothFeet(base.feet, theirs.feet, feet) }),
  })
}

/** Two texts that began as one: where both were changed they stand one below the other. */
export function bothTexts(base: string, theirs: string, mine: string): string {
  if (mine === base || mine === theirs) return theirs
  if (theirs === base) return mine
  // What both began with stands once.
  const added = base !== '' && mine.startsWith(base) ? mine.slice(base.length).replace(/^\n+/, '') : mine
  return added.trim() === '' ? theirs : `${theirs}\n${added}`
}

function bothDays(base: string | null, theirs: string | null, mine: string | null): string | null {
  if (mine === base) return theirs
  if (theirs === base || theirs === null || mine === null) return mine ?? theirs
  return mine < theirs ? mine : theirs
}

const both = <T>(theirs: readonly T[] = [], mine: readonly T[] = []): T[] => [
  ...new Set([...theirs, ...mine]),
]

function bothLists(base: CloseList, theirs: CloseList, mine: CloseList): CloseList {
  return Object.fromEntries(
    SIDES.flatMap((side) => {
      const [was, there, here] = [base[side], theirs[side], mine[side]]
      if (!here && !there) return []
      const closed: Closed = {
        // What was ticked here and there; what one of them took back again is not.
        checked: both(there?.checked, here?.checked).filter(
          (one) =>
            !was?.checked.includes(one) ||
            ((there?.checked.includes(one) ?? true) && (here?.checked.includes(one) ?? true)),
        ),
        note: bothTexts(was?.note ?? '', there?.note ?? '', here?.note ?? was?.note ?? ''),
      }
      return [[side, closed]]
    }),
  )
}

function bothFeet(base: VisitFeet, theirs: VisitFeet, mine: NonNullable<VisitChanges['feet']>) {
  return Object.fromEntries(
    Object.entries(mine).map(([side, change]) => {
      const [was, there] = [base[side as Side]?.put ?? [], theirs[side as Side]?.put ?? []]
      return [side, change.put ? { ...change, put: bothPuts(was, there, change.put) } : change]
    }),
  ) as NonNullable<VisitChanges['feet']>
}

function bothPuts(
  base: NonNullable<Foot['put']>,
  theirs: NonNullable<Foot['put']>,
  mine: NonNullable<Foot['put']>,
): NonNullable<Foot['put']> {
  const has = (list: typeof base, what: string) => list.find((one) => one.what === what)
  const gone = (what: string) => has(base, what) && (!has(theirs, what) || !has(mine, what))
  return both(
    theirs.map(({ what }) => what),
    mine.map(({ what }) => what),
  )
    .filter((what) => !gone(what))
    .map((what) => {
      const [was, there, here] = [has(base, what), has(theirs, what), has(mine, what)]
      return {
        what,
        why: bothTexts(was?.why ?? '', there?.why ?? was?.why ?? '', here?.why ?? was?.why ?? ''),
      }
    })
}
