import {
  beforeShoe,
  currentPatterns,
  newLook,
  planShoe,
  SIDES,
  workOf,
  workWords,
  type FootInput,
  type FootRecord,
  type FootWork,
  type Look,
  type PagePattern,
  type Pattern,
  type Plan,
  type Side,
  type Visit,
  type VisitPage,
} from '@crescent/core'
import { draftsFrom, footDraft, footInput, seenOf } from '../../../state/bench/draft'
import { tryPlan } from '../../../state/bench/planning'
import { workshopFor } from '../../../state/bench/workshop-for'

/** What is done to a foot as last time: a new shoe of the same, the old one put back, left bare, or nothing yet. */
export type Again = FootWork | 'nothing'

/** One foot as it was last time, and what may be done of it again. */
export interface FootAgain {
  side: Side
  /** What it wore, where it was shod. */
  wore?: PagePattern
  /** What a new shoe of the same would be, on the foot as it was measured last. */
  made?: { pattern: Pattern; record: FootRecord; plan: Plan }
  can: readonly Again[]
  proposed: Again
  /** Why not more can be done. */
  why: string
}

/** The look of a visit, else the one it begins with: what was found last and nobody has answered still stands. */
export const lookOf = ({ look, visit, lookBefore }: VisitPage): Look =>
  look ?? newLook(visit.id, visit.id, lookBefore ?? undefined)

/**
 * The four feet of a visit as they were last time. Nothing is offered past what stands in the way of a shoe, and no foot
 * that was worked on already.
 *
 * @param unsaved feet with work that this browser keeps
 * @param recordIds made by the caller, so that a repeat stores nothing twice
 */
export function feetAgain(
  page: VisitPage,
  unsaved: readonly Side[],
  recordIds: Record<Side, string>,
): FootAgain[] {
  const look = lookOf(page)
  const done = workOf(page.visit.feet, page.footRecords)
  const wears = currentPatterns(page.patterns)
  const visits = [page.lastVisit, page.previous?.visit].flatMap((visit) => visit ?? [])
  const shod = currentPatterns(page.patterns, visits)
  return SIDES.map((side): FootAgain => {
    const no = (why: string, can: readonly Again[] = ['nothing'], proposed: Again = 'nothing') => ({
      ...{ side, can, proposed, why },
      ...(shod[side] && { wore: shod[side] }),
    })
    const work = done[side]
    if (work) return no(`Done at this visit: ${workWords({ [side]: work })}.`)
    if (unsaved.includes(side)) return no('There is work on it that is not saved yet.')
    const wore = shod[side]
    if (!wore)
      return wears[side] ? no('Left bare last time.', ['bare', 'nothing'], 'bare') : no('No shoe yet.')
    const [gate] = beforeShoe(look, side)
    if (gate) return no(`${gate.title}: no shoe goes on. ${gate.action}`, ['bare', 'nothing'])
    const made = madeAgain(page, look, wore, recordIds[side])
    if (typeof made === 'string') return no(made, ['reset', 'bare', 'nothing'], 'reset')
    return { side, wore, made, can: ['shod', 'reset', 'bare', 'nothing'], proposed: 'shod', why: '' }
  })
}

/** A new shoe of the same on the foot as it was measured last, or why it cannot be made. */
function madeAgain(
  page: VisitPage,
  look: Look,
  wore: PagePattern,
  recordId: string,
): NonNullable<FootAgain['made']> | string {
  const { side } = wore
  const { shoe } = draftsFrom(page)[side]
  const last = page.previous?.footRecords.find((record) => record.side === side)
  const measured = footDraft((last ?? wore).foot, page.horse.breakoverSchool)
  const foot: FootInput = footInput(side, measured, seenOf(look)[side])
  const workshop = workshopFor(page, shoe)
  const { plan, problems } = tryPlan(() => planShoe(foot, shoe, workshop))
  if (!plan) return `It cannot be made again as it was: ${problems[0]!.message}`
  const { result: _result, updatedAt: _at, createdAt: _made, ...pattern } = wore
  const visitId = page.visit.id
  return {
    plan,
    pattern: { ...pattern, visitId, foot, shoe, workshop, why: 'as last time' },
    record: { id: recordId, version: 0, visitId, side, foot, patternId: wore.id, notes: '' },
  }
}

/** What is stored of what was chosen: the visit with what is done to each foot, and each new shoe with its foot. */
export function storedAgain(
  { visit }: VisitPage,
  feet: readonly FootAgain[],
  chosen: Partial<Record<Side, Again>>,
): { visit: Visit; feet: { pattern: Pattern; record: FootRecord }[] } {
  const works = feet.flatMap(({ side }) => {
    const work = chosen[side]
    return work === undefined || work === 'nothing' ? [] : [[side, { ...visit.feet[side], work }] as const]
  })
  return {
    visit: { ...visit, feet: { ...visit.feet, ...Object.fromEntries(works) } },
    feet: feet.flatMap(({ side, made }) =>
      chosen[side] === 'shod' && made ? [{ pattern: made.pattern, record: made.record }] : [],
    ),
  }
}
