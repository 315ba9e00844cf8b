import { createHash } from 'node:crypto'
import { addDays, formatISO } from 'date-fns'
import * as z from 'zod'
import {
  gatesOf,
  newLook,
  parseLength,
  planShoe,
  snapshotOf,
  type FitNumbers,
  type FootInput,
  type FootLook,
  type Section,
  type ShoeInput,
  type Side,
} from '@crescent/core'
import {
  animalSchema,
  FIT_NAMES,
  MATERIALS,
  findingSchema,
  footLookSchema,
  lookSchema,
  sideSchema,
  vetWordSchema,
} from '@crescent/core/records/index'
import type { Practice } from '../database/practice'

const length = z.string()
const footSchema = z.tuple([
  length,
  length,
  length,
  z.number(),
  length,
  z.record(z.string(), z.union([z.number(), length])),
])

/** What is found on some of the horses, foot by foot: kind, place, grade, note. */
const demoFindings = z.array(
  z.tuple([findingSchema.shape.kind, findingSchema.shape.place, z.number(), z.string()]),
)
const demoLookSchema = z.object({
  vet: vetWordSchema.omit({ on: true }).optional(),
  ways: lookSchema.shape.ways.partial().optional(),
  feet: z
    .partialRecord(
      sideSchema,
      footLookSchema
        .pick({ landing: true, frontLine: true, sideLine: true, lost: true, solePlane: true })
        .partial()
        .extend({
          findings: demoFindings.optional(),
        }),
    )
    .optional(),
})

/** The demo practice as it is written down in demo/practice.json. */
export const demoSchema = z.object({
  about: z.string(),
  owners: z.array(
    z.object({
      key: z.string(),
      name: z.string(),
      phone: z.string(),
      email: z.string(),
      place: z.string(),
      notes: z.string(),
    }),
  ),
  horses: z.array(
    z.object({
      name: z.string(),
      owner: z.string(),
      animal: animalSchema,
      work: z.string(),
      going: z.string(),
      living: z.string(),
      place: z.string(),
      cycleWeeks: z.number(),
      /** Days since the last visit. */
      lastDays: z.number(),
      notes: z.string(),
      /** How many millimetres a year the feet widen. */
      trend: z.number(),
      look: demoLookSchema.optional(),
      fore: footSchema,
      hind: footSchema.optional(),
      /** What the left fore differs by. */
      left: z.record(z.string(), length).optional(),
      shoe: z.object({
        section: z.tuple([length, length]),
        fit: z.union([z.enum(FIT_NAMES), z.record(z.string(), length)]),
        name: z.string(),
        /** Kinds of modification by foot, with their defaults. */
        modifications: z
          .partialRecord(sideSchema, z.array(z.union([z.string(), z.looseObject({ kind: z.string() })])))
          .optional(),
        /** Feet that wear another bar: width, thickness, metal. */
        bars: z.partialRecord(sideSchema, z.tuple([length, length, z.enum(MATERIALS)])).optional(),
        /** How high the nails came out, mm, hole by hole from the toe. */
        seen: z
          .partialRecord(sideSchema, z.object({ lateral: z.array(z.number()), medial: z.array(z.number()) }))
          .optional(),
      }),
    }),
  ),
})

export type Demo = z.infer<typeof demoSchema>
type DemoHorse = Demo['horses'][number]

const YEARS = 3
const DAYS_A_YEAR = 365.25

/** Writes the demo practice: owners, horses, three years of visits, feet that change, patterns. */
export function seedDemo(practice: Practice, demo: Demo, today: Date): void {
  practice.db.transaction(() => {
    for (const { key, ...owner } of demo.owners) {
      practice.owners.put({ ...owner, id: idFor('owner', key), version: 0, archived: false })
    }
    for (const horse of demo.horses) seedHorse(practice, horse, today)
  })()
}

function seedHorse(practice: Practice, horse: DemoHorse, today: Date): void {
  const horseId = idFor('horse', horse.name)
  const { name, animal, work, going, living, place, cycleWeeks, notes } = horse
  practice.horses.put({
    id: horseId,
    version: 0,
    ownerId: idFor('owner', horse.owner),
    ...{ name, animal, work, going, living, place, cycleWeeks, notes },
    breakoverSchool: horse.look?.vet?.diagnosis === 'founder' ? 'radiographic' : 'perimeter',
    archived: false,
  })
  const dates = visitDates(horse, today)
  const patternIds: Partial<Record<Side, string>> = {}
  dates.forEach((date, i) => {
    const day = formatISO(date, { representation: 'date' })
    const visitId = idFor('visit', horse.name, day)
    const at = stamp(date)
    practice.visits.bringIn({
      id: visitId,
      version: 1,
      horseId,
      date: day,
      state: 'done',
      notes: visitNote(horse, i),
      closeList: {},
      archived: false,
      ...at,
    })
    if (dates.length - i <= LOOKS) seedLook(practice, horse, { visitId, day, i, dates, today })
    for (const side of horse.hind ? (['LF', 'RF', 'LH', 'RH'] as const) : (['LF', 'RF'] as const)) {
      const foot = footAt(horse, side, date, today)
      // The first visit, one a year later and the last one each left a pattern behind.
      const yearly = Math.round(52 / horse.cycleWeeks)
      if (i % yearly === 0 || i === dates.length - 1) {
        const shoe = shoeOf(horse, side, i)
        const id = idFor('pattern', horse.name, side, day)
        patternIds[side] = id
        practice.patterns.bringIn({
          id,
          version: 1,
          horseId,
          side,
          name: `${horse.shoe.name}, ${day.slice(0, 4)}`,
          visitId,
          foot,
          shoe,
          workshop: {},
          result: snapshotOf(planShoe(foot, shoe)),
          notes: '',
          archived: false,
          ...at,
        })
      }
      practice.footRecords.bringIn({
        id: idFor('foot', horse.name, side, day),
        version: 1,
        visitId,
        side,
        foot,
        patternId: patternIds[side] ?? null,
        notes: '',
        ...at,
      })
    }
  })
}

/** How many of the last visits were looked at with the program. */
const LOOKS = 8

interface DemoVisit {
  visitId: string
  day: string
  i: number
  dates: Date[]
  today: Date
}

/** What was looked at on a visit: the foot before its trim, and on the last visits what was found. */
function seedLook(practice: Practice, horse: DemoHorse, { visitId, day, i, dates, today }: DemoVisit): void {
  const bare = newLook(idFor('look', horse.name, day), visitId)
  const first = formatISO(dates[Math.max(0, dates.length - 4)]!, { representation: 'date' })
  const recent = dates.length - i <= 4
  const { vet, ways } = horse.look ?? {}
  const footLook = (side: Side): FootLook => {
    if (side.endsWith('H') && !horse.hind) return bare.feet[side]
    const { findings = [], ...stance } = horse.look?.feet?.[side] ?? {}
    const { dorsalLength = 0, length, width, toeAngle } = footAt(horse, side, dates[i]!, today)
    const weeks = horse.cycleWeeks
    const grown = weeks * (1.9 + 0.5 * chance(horse.name, side, 'growth', day))
    return {
      ...bare.feet[side],
      ...(recent ? stance : {}),
      findings: recent
        ? findings.map(([kind, place, grade, note]) => ({
            id: idFor('finding', horse.name, side, kind, place, day),
            kind,
            place,
            grade,
            note,
            answer: day === first ? ('new' as const) : ('same' as const),
            since: first,
          }))
        : [],
      oldShoe: { breakover: half(weeks * 0.9), widest: half(length * 0.5), heelEnds: half(-weeks * 0.5) },
      untrimmed: {
        dorsalLength: half(dorsalLength + grown),
        length: half(length + weeks * 0.9),
        width: half(width + weeks * 0.4),
        toeAngle: half(toeAngle - weeks * 0.35),
      },
    }
  }
  const look = {
    ...bare,
    vet: vet ? { ...vet, on: first } : bare.vet,
    ways: { ...bare.ways, ...ways },
    feet: { LF: footLook('LF'), RF: footLook('RF'), LH: footLook('LH'), RH: footLook('RH') },
  }
  const at = stamp(dates[i]!)
  const acknowledged = gatesOf(look).map(({ key, title }) => ({
    gate: key,
    title,
    words: `Spoke to ${vet?.who ?? 'the vet'}: go on to the plan.`,
    at: at.createdAt,
  }))
  practice.looks.bringIn({ ...look, version: 1, acknowledged, ...at })
}

/** Every cycle for three years, a few days early or late, the last one so many days ago. */
function visitDates(horse: DemoHorse, today: Date): Date[] {
  const count = Math.floor((YEARS * 52) / horse.cycleWeeks)
  return Array.from({ length: count }, (_, i) => {
    const back = count - 1 - i
    const late = back === 0 ? 0 : Math.round(chance(horse.name, 'late', String(back)) * 8 - 4)
    return addDays(today, -(horse.lastDays + back * horse.cycleWeeks * 7 + late))
  })
}

/** The foot on a day: its figures, the year's slow change, the wet season's spread and the rule's own error. */
function footAt(horse: DemoHorse, side: Side, date: Date, today: Date): FootInput {
  const [width, long, heelWidth, toeAngle, wall, more] = side.endsWith('F') ? horse.fore : horse.hind!
  const years = (date.getTime() - today.getTime()) / 864e5 / DAYS_A_YEAR
  const season = Math.sin(2 * Math.PI * ((date.getMonth() + 1) / 12))
  const wobble = (what: string, size: number) =>
    (chance(horse.name, side, what, date.toISOString().slice(0, 10)) - 0.5) * 2 * size
  // One foot of a pair is always a shade different.
  const own = (what: string, size: number) => (chance(horse.name, side, what) - 0.5) * 2 * size
  const left = (what: string) => (side === 'LF' ? mm(horse.left?.[what] ?? '0') : 0)
  const refinements = Object.fromEntries(
    Object.entries(more).map(([key, value]) => [
      key,
      typeof value === 'number' || key === 'tipBy' ? value : mm(value),
    ]),
  )
  const wide = mm(width) + horse.trend * years + season * 0.8 + own('width', 1) + left('width')
  return {
    side,
    animal: horse.animal,
    width: half(wide + wobble('width', 0.5)),
    length: half(
      mm(long) + horse.trend * 0.6 * years - season * 0.5 + own('length', 1.2) + wobble('length', 0.8),
    ),
    heelWidth: half(
      mm(heelWidth) +
        horse.trend * 0.8 * years +
        season * 0.6 +
        own('heel', 0.8) +
        wobble('heel', 0.6) +
        left('heelWidth'),
    ),
    toeAngle: half(toeAngle + own('angle', 0.7) + wobble('angle', 0.7)),
    wallThickness: half(mm(wall)),
    ...seenBeside(horse, side, mm(long), toeAngle, wobble),
    ...refinements,
  }
}

/** What else was measured: the apex, the ends of the bars, the limb from its side. */
function seenBeside(
  horse: DemoHorse,
  side: Side,
  long: number,
  toeAngle: number,
  wobble: (what: string, size: number) => number,
): Partial<FootInput> {
  const own = (what: string, size: number) => (chance(horse.name, side, what) - 0.5) * 2 * size
  const apex = long * 0.47 - 25.4 + own('apex', 2) + wobble('apex', 0.7)
  const heelAngle = toeAngle - 3 + own('heel angle', 3)
  return {
    frogApex: half(apex),
    barsFromToe: half(apex + 25.4 + own('bars', 3) + wobble('bars', 0.7)),
    arcFromToe: half(apex + 25.4 + own('arc', 9)),
    heelAngle: half(heelAngle + wobble('heel angle', 0.7)),
    pasternAngle: half(toeAngle + own('pastern', 4)),
    dorsalLength: half(long * 0.65 + wobble('dorsal', 0.8)),
    heelHeight: half(long * 0.18 + wobble('heel height', 0.8)),
  }
}

function shoeOf(horse: DemoHorse, side: Side, visit: number): ShoeInput {
  const [width, thickness, material] = horse.shoe.bars?.[side] ?? [...horse.shoe.section, 'steel' as const]
  const section: Section = { shape: 'flat', width: mm(width), thickness: mm(thickness), material }
  const fit =
    typeof horse.shoe.fit === 'string'
      ? horse.shoe.fit
      : (Object.fromEntries(Object.entries(horse.shoe.fit).map(([k, v]) => [k, mm(v)])) as FitNumbers)
  // The outer branch carried a fourth nail in the first year.
  const nails =
    visit === 0 ? { lateral: { driven: [1, 2, 3, 4] }, medial: { driven: [1, 2, 3] } } : seenOf(horse, side)
  const modifications = (horse.shoe.modifications?.[side] ?? []).map((one) =>
    typeof one === 'string' ? { kind: one } : (one as NonNullable<ShoeInput['modifications']>[number]),
  )
  return { section, fit, modifications, ...(nails && { nails }) }
}

/** The exits that were written down afterwards, as nails of the shoe. */
function seenOf(horse: DemoHorse, side: Side): ShoeInput['nails'] {
  const seen = horse.shoe.seen?.[side]
  if (!seen) return undefined
  const branch = (heights: number[]) => ({
    each: heights.map((height, i) => ({ number: i + 1, seen: height })),
  })
  return { lateral: branch(seen.lateral), medial: branch(seen.medial) }
}

const NOTES = [
  '',
  '',
  'Sound, no complaint.',
  '',
  'One shoe a little loose, clinches risen.',
  '',
  'Frogs soft, told them to keep the stall dry.',
  'Dressed a small flare off the outside.',
]

const visitNote = (horse: DemoHorse, i: number): string =>
  NOTES[Math.floor(chance(horse.name, 'note', String(i)) * NOTES.length)]!

function mm(text: string): number {
  const parsed = parseLength(text, 'in')
  if (!parsed.ok) throw new Error(`demo/practice.json: ${parsed.message}`)
  return parsed.mm
}

const half = (value: number): number => Math.round(value * 2) / 2

/** The same every time it is asked: a number from 0 to 1 for these words. */
const chance = (...words: string[]): number => digest(words).readUInt32BE(0) / 2 ** 32

/** The same id every time for the same thing. */
function idFor(...words: string[]): string {
  const hex = digest(words).toString('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}

const digest = (words: string[]): Buffer => createHash('sha256').update(words.join('\u0000')).digest()

function stamp(date: Date): { createdAt: string; updatedAt: string } {
  const noon = new Date(date)
  noon.setHours(12, 0, 0, 0)
  return { createdAt: noon.toISOString(), updatedAt: noon.toISOString() }
}
