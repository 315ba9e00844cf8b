import { outOfRange } from '../notices/range'
import type { Problem } from '../notices/problem'
import type { Foot } from '../foot/measurements'
import type { FootOutline } from '../foot/outline'
import { ease } from '../geometry/ease'
import { trackLength } from '../geometry/track'
import type { FitNumbers, ShoeInput } from '../records/shoe'
import type { FitName } from '../terms/fits'

/** Thickness of a US ten-cent piece in mm (US Mint specification): the least room a heel needs to spread. */
export const COIN = 1.35

/** The numbers of a fit, mm. */
export type FitFigure = Exclude<keyof FitNumbers, 'behind'>

/** A fit with every number known, mm. */
export type Fit = Required<FitNumbers> & { name?: FitName }

export interface FitPreset {
  name: FitName
  label: string
  use: string
  numbers: (foot: Foot) => Record<FitFigure, number>
}

/** The usual fits (common practice, no source for the amounts). */
export const FIT_PRESETS: readonly FitPreset[] = [
  {
    name: 'flush',
    label: 'Flush',
    use: 'Racing: shoe and foot are one outline, nothing to step on.',
    numbers: () => ({ spread: 0, heelLength: 0, toeSetBack: 0 }),
  },
  {
    name: 'general',
    label: 'General',
    use: 'Room to spread from the bend of the quarter back, heels covered.',
    numbers: () => ({ spread: 2.5, heelLength: 4, toeSetBack: 0 }),
  },
  {
    name: 'supportive',
    label: 'Supportive',
    use: 'Length back to the plumb line of the bulbs: jumping, weak heels.',
    numbers: (foot) => ({ spread: 3, heelLength: foot.bulbLine, toeSetBack: 0 }),
  },
  {
    name: 'conservative',
    label: 'Conservative',
    use: 'Mud, herds, thin walls: just enough room, nothing behind the heel.',
    numbers: () => ({ spread: COIN, heelLength: 0, toeSetBack: 0 }),
  },
  {
    name: 'slide',
    label: 'Slide',
    use: 'Branches carried on behind the heel to run on.',
    numbers: (foot) => ({ spread: 3, heelLength: foot.length * 0.2, toeSetBack: 0 }),
  },
]

const presetNamed = (name: FitName): FitPreset => FIT_PRESETS.find((preset) => preset.name === name)!

/** A fit by name or by numbers, completed for this foot. */
export function resolveFit(fit: ShoeInput['fit'], foot: Foot): Fit {
  if (typeof fit === 'string')
    return { name: fit, ...presetNamed(fit).numbers(foot), behind: 'straight back' }
  const general = presetNamed('general').numbers(foot)
  return {
    spread: fit.spread ?? general.spread,
    heelLength: fit.heelLength ?? general.heelLength,
    toeSetBack: fit.toeSetBack ?? general.toeSetBack,
    behind: fit.behind ?? 'straight back',
  }
}

/** The most the toe of a rim may be set back under the wall, as a share of the foot's length (common practice, no source). */
const MOST_SET_BACK = 0.15

/** Set back less than this nobody would see it, mm. */
const LEAST_SET_BACK = 0.75

/** The set-back that brings a breakover this much further back, mm; undefined where it is none or more than a fit allows. */
export function setBackBy(fit: Fit, foot: Foot, more: number): number | undefined {
  const back = fit.toeSetBack + more
  return more < LEAST_SET_BACK || back > foot.length * MOST_SET_BACK ? undefined : back
}

/** The numbers of a fit as they are asked for, with what a foot allows. */
export const FIT_FIGURES: readonly {
  key: FitFigure
  label: string
  where: string
  range: (foot: Foot) => readonly [number, number]
}[] = [
  {
    key: 'spread',
    label: 'Room at the heel',
    where: 'How far the rim stands outside the wall at the buttress.',
    range: () => [0, 15],
  },
  {
    key: 'heelLength',
    label: 'Branch behind the buttress',
    where: 'How far the branch goes on behind the buttress; minus ends before it.',
    range: ({ length }) => [-length * 0.12, length * 0.4],
  },
  {
    key: 'toeSetBack',
    label: 'Toe set back',
    where: 'How far the toe of the rim stands back under the wall.',
    range: ({ length }) => [0, length * MOST_SET_BACK],
  },
]

/** Problems of a fit that no foot allows. */
export const checkFit = (fit: Fit, foot: Foot): Problem[] =>
  FIT_FIGURES.map(({ key, label, range }) =>
    outOfRange(`shoe.fit.${key}`, label, 'length', fit[key], range(foot)),
  ).filter((problem) => problem !== undefined)

/**
 * How far the outer rim stands outside the wall, by station on the foot's outline, in mm: level with the wall from
 * the toe to the bend of the quarter, then growing evenly to the heel; a set-back toe runs back under the wall.
 */
export function fitReach(fit: Fit, outline: FootOutline): (station: number) => number {
  const end = trackLength(outline.track)
  return (station) => {
    const lateral = station < outline.toe
    const widest = lateral ? outline.lateralWidest : outline.medialWidest
    const buttress = lateral ? 0 : end
    const behind = (station - widest) / (buttress - widest)
    if (behind > 0) return fit.spread * evenGrowth(behind)
    const fromToe = (station - outline.toe) / (widest - outline.toe)
    return -fit.toeSetBack * fadeFromToe(fromToe)
  }
}

/** 0 at 0, 1 at 1 and on beyond: a straight growth whose start is rounded so that the rim has no kink. */
function evenGrowth(u: number): number {
  const round = 0.25
  const grown = u < round ? (u * u) / (2 * round) : u - round / 2
  return grown / (1 - round / 2)
}

/** 1 at the toe, 0 from two thirds of the way to the widest part on. */
const fadeFromToe = (u: number): number => 1 - ease(u / 0.66)
