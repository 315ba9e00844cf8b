import { formatISO } from 'date-fns'
import { gatesOf, newLook, SIDES, type FootLook, type Side } from '@crescent/core'
import { stillAsked, withAgreed, withSeen } from '@crescent/core/advice'
import type { Practice } from '../practice'
import { footAt } from './feet'
import { chance, half, idFor, stamp } from './made-up'
import type { DemoHorse } from './schema'
import { shoeOf } from './shoes'

/** A visit among the others of its horse. */
export interface DemoVisit {
  visitId: string
  day: string
  i: number
  dates: Date[]
  today: Date
}

/** What a shoe loses a week at the toe, mm: on roads more. */
const WEARS = { road: 0.42, soft: 0.22 }

/** What was left of the shoe that was pulled, made up: the toe wears most, the heels half as much. */
function leftOf(horse: DemoHorse, side: Side, i: number, day: string): FootLook['oldShoe'] {
  if (i === 0) return {}
  const { thickness } = shoeOf(horse, side, i - 1).section
  const rate = /road|rock|stone/.test(horse.going) ? WEARS.road : WEARS.soft
  const lost = horse.cycleWeeks * rate * (0.8 + 0.4 * chance(horse.name, side, 'wear', day))
  const left = (share: number) => Math.max(1, Math.round((thickness - lost * share) * 5) / 5)
  return { leftToe: left(1), leftQuarters: left(0.7), leftOuterHeel: left(0.55), leftInnerHeel: left(0.5) }
}

/** At so many of the last visits something was found and agreed. */
const RECENT = 4

/** What was agreed for its feet, and what came of it visit by visit. */
const agreedOn = ({ look }: DemoHorse) =>
  SIDES.flatMap((side) =>
    Object.entries(look?.agreed?.[side] ?? {}).map(([code, answers]) => ({ side, code, answers })),
  )

/** What was looked at on a visit: the foot before its trim, and on the last visits what was found. */
export function seedLook(
  practice: Practice,
  horse: DemoHorse,
  { visitId, day, i, dates, today }: DemoVisit,
): void {
  const bare = newLook(idFor('look', horse.name, day), visitId)
  const first = formatISO(dates[Math.max(0, dates.length - RECENT)]!, { representation: 'date' })
  const recent = dates.length - i <= RECENT
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
      oldShoe: {
        ...{ breakover: half(weeks * 0.9), widest: half(length * 0.5), heelEnds: half(-weeks * 0.5) },
        ...leftOf(horse, side, i, day),
      },
      untrimmed: {
        dorsalLength: half(dorsalLength + grown),
        length: half(length + weeks * 0.9),
        width: half(width + weeks * 0.4),
        toeAngle: half(toeAngle - weeks * 0.35),
      },
    }
  }
  const agreed = recent ? agreedOn(horse) : []
  const look = {
    ...bare,
    vet: vet ? { ...vet, on: first } : bare.vet,
    ways: { ...bare.ways, ...ways },
    feet: { LF: footLook('LF'), RF: footLook('RF'), LH: footLook('LH'), RH: footLook('RH') },
  }
  const at = stamp(dates[i]!)
  const advice = agreed.map(({ side, code }) => ({
    ...{ code, side, choice: 'accepted' as const, reason: '', at: at.createdAt },
  }))
  const since = dates.length - RECENT
  for (const { side, code, answers } of agreed) {
    let foot = withAgreed(look.feet[side], [code], first)
    for (const [at, answer] of answers.slice(0, i - since).entries()) {
      const then = formatISO(dates[since + at + 1]!, { representation: 'date' })
      for (const asked of stillAsked(foot, then).filter((one) => one.code === code))
        foot = withSeen(foot, asked, then, answer)
    }
    look.feet[side] = foot
  }
  const acknowledged = gatesOf(look).map(({ key, title }) => ({
    gate: key,
    title,
    words: `Spoke to ${vet?.who ?? 'the vet'}: go on to the plan.`,
    at: at.createdAt,
  }))
  practice.looks.bringIn({ ...look, version: 1, advice, acknowledged, ...at })
}
