import { problem, ProblemError, type Problem, type Side, type Visit } from '@crescent/core'
import type { visitShoeingsSchema } from '@crescent/core/records/index'
import type * as z from 'zod'
import { Conflict } from '../../database/record-table'
import { NotFound } from '../../http/door'
import type { Practice } from '../../practice'
import { CHECKS } from '../checks'
import { gatesHold } from './gates'
import { refuseSecond } from './one-a-day'
import { saveShoeing, type Shoeing } from './shoeing'
import { unlessStale } from './unless-stale'

type Sent = z.infer<typeof visitShoeingsSchema>

/** A visit and the feet that were stored with it. */
export interface VisitShoeings {
  visit: Visit
  feet: Shoeing[]
}

/** What of it all was changed elsewhere, by foot. */
interface Stale {
  visit?: Visit
  feet: Partial<Record<Side, Partial<Shoeing>>>
}

/** What does not belong together: every foot once, of this visit, with a pattern of its own for this horse. */
function strays(practice: Practice, id: string, visit: Visit, feet: Sent['feet']): Problem[] {
  const horseNow = (horseId: string) => practice.horses.get(horseId)?.id ?? horseId
  return feet.flatMap(({ pattern, record }, i) => {
    const rules: [string, unknown, unknown][] = [
      [`feet.${i}.record.visitId`, record.visitId, id],
      [`feet.${i}.pattern.side`, pattern.side, record.side],
      [`feet.${i}.record.patternId`, record.patternId, pattern.id],
      [`feet.${i}.pattern.horseId`, horseNow(pattern.horseId), horseNow(visit.horseId)],
      [`feet.${i}.record.side`, feet.findIndex((one) => one.record.side === record.side), i],
    ]
    return [
      ...rules.flatMap(([path, is, wanted]) =>
        is === wanted
          ? []
          : [problem(path, 'It belongs to another foot, horse or visit, or stands here twice')],
      ),
      ...CHECKS.footRecord(record).map(({ path, message }) => problem(`feet.${i}.record.${path}`, message)),
    ]
  })
}

/**
 * Stores several feet of a visit, and the visit where it is sent, all or nothing.
 *
 * @throws NotFound where the visit is neither sent nor stored
 * @throws ProblemError where something cannot be, a gate among it
 * @throws Conflict that carries whatever was changed elsewhere, foot by foot, so that it is asked about once
 */
export function saveSeveralFeet(practice: Practice, id: string, { visit: sent, feet }: Sent): VisitShoeings {
  return practice.db
    .transaction(() => {
      const visit = sent ?? practice.visits.get(id)
      if (!visit) throw new NotFound('visit')
      const problems = [
        ...(visit.id === id ? [] : [problem('visit.id', 'The id differs from the one in the address')]),
        ...strays(practice, id, visit, feet),
        ...(sent ? [...CHECKS.visit(sent), ...gatesHold(practice, sent)] : []),
      ]
      if (problems.length > 0) throw new ProblemError(problems)
      const stale: Stale = { feet: {} }
      const kept = sent
        ? unlessStale(
            () => {
              refuseSecond(practice, sent)
              return practice.visits.put(sent)
            },
            (theirs: Visit) => (stale.visit = theirs),
          )
        : visit
      // A foot can only be stored with a visit that is: it is not looked at where that is stale.
      const shod = (kept ? feet : []).flatMap(
        (foot) =>
          unlessStale(
            () => saveShoeing(practice, foot),
            (theirs: Partial<Shoeing>) => (stale.feet[foot.record.side] = theirs),
          ) ?? [],
      )
      if (!kept || shod.length < feet.length) throw new Conflict(stale)
      return { visit: kept, feet: shod }
    })
    .immediate()
}
