import { UNTRIMMED_FIGURES } from '../look/figures'
import { standing } from '../look/carry'
import { stopsOf } from '../look/gates'
import { limitWords } from '../nails/limits'
import { courseKind } from '../courses/index'
import { stoppedForPain } from '../courses/course'
import { openSteps } from '../courses/steps'
import { clause, sentence } from '../notices/sentence'
import { length, told, type Told } from '../notices/told'
import { designName } from '../plan/design-name'
import { planShoe, type Plan } from '../plan/plan'
import type { VisitPage } from '../records/answers'
import type { Course } from '../records/course'
import type { Finding, FootLook } from '../records/look'
import type { VisitFeet } from '../records/practice'
import { workOf } from '../records/worn'
import { findingKind } from '../terms/finding-kinds'
import { placeNamed } from '../terms/places'
import { addDays } from '../terms/days'
import { SIDE_NAMES, SIDES, type Side } from '../terms/sides'
import type { FootWork } from '../terms/work'
import { adviceTitle } from '../advice/advise'
import { lookNextTime } from '../advice/follow-up'

/** Whom a sheet about a visit is for. */
export const SHEET_FOR = ['owner', 'vet'] as const
export type SheetFor = (typeof SHEET_FOR)[number]

/** A part of a sheet. */
export interface SheetPart {
  title: string
  lines: readonly Told[]
}

/** What a sheet is made of: the visit as the Bench has it, and when the horse is due next. */
export interface SheetOf {
  page: Pick<VisitPage, 'visit' | 'horse' | 'owner' | 'footRecords' | 'look' | 'patterns' | 'previous'>
  due: string | null
  /** A day as it is read, from 2026-11-29. */
  day: (date: string) => string
  /** Courses of the horse: what a shoe asks for over weeks is told by the course that runs for it. */
  courses?: readonly Course[]
}

/** How each work on a foot is told to who was not there. */
const DONE: Record<FootWork, string> = {
  shod: 'shod',
  reset: 'trimmed, the same shoe put on again',
  bare: 'trimmed and left bare',
}

/** What was found, what was put on, what to watch, when next: for the owner; with figures and what was agreed: for the vet. */
export const visitSheet = (of: SheetOf, reader: SheetFor): SheetPart[] =>
  (reader === 'owner' ? forOwner(of) : forVet(of)).filter(({ lines }) => lines.length > 0)

function forOwner(of: SheetOf): SheetPart[] {
  return [
    { title: 'Calls for the vet', lines: stopped(of) },
    { title: 'What was found', lines: found(of) },
    { title: 'What was put on', lines: [...putOn(of), ...putIn(of.page.visit.feet)] },
    { title: 'What to watch', lines: [...watch(of), ...ALWAYS] },
    { title: 'What should come by the next visit', lines: toCome(of) },
    { title: 'Next visit', lines: next(of) },
  ]
}

function forVet(of: SheetOf): SheetPart[] {
  const { vet } = of.page.look ?? {}
  const said =
    vet && vet.diagnosis !== 'none'
      ? [`${vet.diagnosis}${vet.legs?.length ? ` (${vet.legs.join(', ')})` : ''}`]
      : []
  const by =
    vet && (vet.who || vet.on)
      ? [`Said by ${[vet.who, vet.on && of.day(vet.on)].filter(Boolean).join(', ')}`]
      : []
  return [
    {
      title: 'What the vet said',
      lines: [...said, ...[vet?.words ?? '', vet?.limits ?? ''].filter(Boolean), ...by],
    },
    { title: 'What waits for an answer', lines: stopped(of) },
    { title: 'What was found', lines: found(of) },
    { title: 'Figures before and after the trim', lines: figures(of) },
    { title: 'What was put on', lines: [...putOn(of), ...putIn(of.page.visit.feet)] },
    { title: 'What was agreed', lines: agreed(of) },
    { title: 'Limits of the nails', lines: limits(of) },
    { title: 'What is looked for next time', lines: toCome(of) },
    { title: 'What follows', lines: watch(of) },
    { title: 'Next visit', lines: next(of) },
    {
      title: '',
      lines: [
        'The vet diagnoses and leads; these figures were read by hand and tell what was done at the hoof.',
      ],
    },
  ]
}

/** A foot as a line begins with it. */
const nameOf = (side: Side): string => SIDE_NAMES[side].charAt(0).toUpperCase() + SIDE_NAMES[side].slice(1)

/** What every owner should know. */
const ALWAYS = [
  'A shoe that is loose, twisted or lost, heat in a foot, or a horse that goes short: do not ride, and call. Where it is lame, call the vet first.',
]

const sides = ({ look }: SheetOf['page'], each: (side: Side, foot: FootLook) => readonly Told[]): Told[] =>
  SIDES.flatMap((side) => (look ? each(side, look.feet[side]) : []))

function found({ page }: SheetOf): Told[] {
  return sides(page, (side, foot) => {
    const told = standing(foot.findings).map(findingWords)
    return told.length > 0 ? [`${nameOf(side)}: ${told.join('; ')}.`] : []
  })
}

/** What nobody has answered yet, or lets no shoe be put on. */
const stopped = ({ page: { look } }: SheetOf): Told[] =>
  look ? stopsOf(look).map(({ title, action }) => `${title}. ${action}`) : []

/** What limits the nails of each shod foot, and what was overruled, with why. */
function limits(of: SheetOf): Told[] {
  return shoes(of).flatMap(({ side, plan }) =>
    (plan.nailing.limits ?? []).map((limit) => {
      const reason = limit.overruled === undefined ? '' : ` Overruled: ${sentence(limit.overruled)}`
      return `${nameOf(side)}: ${limitWords(limit)}${limit.rule === 'words' ? '' : ` (${clause(limit.why)})`}.${reason}`
    }),
  )
}

function findingWords({ kind, place, grade, note, answer }: Finding): string {
  const { label, grades } = findingKind(kind)
  const how = answer === 'new' ? '' : `, ${answer} than last time`.replace('same than', 'the same as')
  const more = note ? ` (${clause(note)})` : ''
  return `${label.toLowerCase()}, ${grades[grade - 1] ?? ''}, at the ${placeNamed(place).label.toLowerCase()}${how}${more}`
}

/** The shoe of each foot that was shod at the visit. */
function shoes({ page }: SheetOf): { side: Side; plan: Plan; name: string }[] {
  return SIDES.flatMap((side) => {
    const patternId = page.footRecords.find((record) => record.side === side)?.patternId
    const pattern = page.patterns.find(({ id }) => id === patternId)
    if (!pattern) return []
    const { foot, shoe, workshop } = pattern
    return [{ side, plan: planShoe(foot, shoe, workshop), name: designName(shoe, 'own bar') }]
  })
}

function putOn(of: SheetOf): Told[] {
  const work = workOf(of.page.visit.feet, of.page.footRecords)
  const made = shoes(of)
  return SIDES.flatMap((side): Told[] => {
    const done = work[side]
    if (!done) return []
    const shoe = done === 'shod' ? made.find((one) => one.side === side) : undefined
    if (!shoe) return [`${nameOf(side)}: ${DONE[done]}.`]
    const driven = shoe.plan.nails.filter((nail) => nail.driven).length
    return [`${nameOf(side)}: ${DONE[done]}, ${shoe.name.toLowerCase()}, ${driven} nails.`]
  })
}

/** What was put in or on each foot beside its shoe, and why. */
export const putIn = (feet: VisitFeet): Told[] =>
  SIDES.flatMap((side) => {
    const put = feet[side]?.put ?? []
    return put.length === 0
      ? []
      : [
          `${nameOf(side)}: ${put.map(({ what, why }) => (why ? `${what} (${clause(why)})` : what)).join(', ')}.`,
        ]
  })

function watch(of: SheetOf): Told[] {
  const { date } = of.page.visit
  const on = (day: number) => of.day(addDays(date, day))
  const courses = of.courses ?? []
  const running = courses.flatMap((course) =>
    openSteps(course).map((step) => told`${nameOf(course.side)}: ${step.label}, ${of.day(step.date)}.`),
  )
  const hurt = SIDES.flatMap((side) =>
    stoppedForPain(courses, side).map(({ kind, ended }) =>
      sentence(
        `${nameOf(side)}: ${courseKind(kind).label.toLowerCase()} stopped on ${of.day(ended!.on)}: ${ended!.reason}`,
      ),
    ),
  )
  const byShoe = shoes(of).flatMap(({ side, plan }) =>
    plan.modifications.flatMap(({ kind, course }) =>
      hasCourse(courses, side, kind)
        ? []
        : course.map(({ label, fromDay, toDay }) =>
            fromDay === toDay
              ? `${nameOf(side)}: ${label}, ${on(fromDay)}.`
              : `${nameOf(side)}: ${label}, ${on(fromDay)} to ${on(toDay)}.`,
          ),
    ),
  )
  return [...hurt, ...running, ...byShoe]
}

/** A course was begun on this foot for what is on its shoe: it tells the days, or that it is over. */
const hasCourse = (courses: readonly Course[], side: Side, modification: string): boolean =>
  courses.some(
    (course) =>
      course.side === side &&
      !course.archived &&
      (courseKind(course.kind).follows.modifications ?? []).includes(modification),
  )

const next = ({ due, day, page }: SheetOf): Told[] => [
  ...(due === null ? [] : [`${page.horse.name} is due on ${day(due)}.`]),
  ...(page.visit.notes ? [page.visit.notes] : []),
]

function figures({ page }: SheetOf): Told[] {
  return SIDES.flatMap((side): Told[] => {
    const record = page.footRecords.find((one) => one.side === side)
    if (!record) return []
    const before = page.look?.feet[side].untrimmed ?? {}
    const lines = UNTRIMMED_FIGURES.flatMap(({ key, label, kind }): Told[] => {
      const after = (record.foot as Record<string, unknown>)[key]
      if (typeof after !== 'number') return []
      const was = before[key]
      const value = (figure: number): Told =>
        kind === 'length' ? told`${length(figure)}` : `${Math.round(figure * 2) / 2}°`
      return [
        was === undefined
          ? told`${nameOf(side)}, ${label.toLowerCase()}: ${value(after)}`
          : told`${nameOf(side)}, ${label.toLowerCase()}: ${value(was)} before, ${value(after)} after`,
      ]
    })
    return lines
  })
}

/** What is asked for at the next visit, foot by foot. */
function toCome({ page: { look } }: SheetOf): Told[] {
  return SIDES.flatMap((side) => {
    const signs = look ? lookNextTime(look.feet[side]) : []
    return signs.length > 0 ? [`${nameOf(side)}: ${signs.join('; ')}.`] : []
  })
}

function agreed({ page }: SheetOf): Told[] {
  const { advice = [], acknowledged = [] } = page.look ?? {}
  return [
    ...advice
      .filter(({ choice }) => choice !== 'dismissed')
      .map(
        ({ code, side, choice, reason }) =>
          `${nameOf(side)}: ${adviceTitle(code)}, ${choice}${reason ? ` (${clause(reason)})` : ''}.`,
      ),
    ...acknowledged.map(({ title, words }) => `${title}${words ? `: ${words}` : ''}`),
  ]
}
