import type { ContactMark, Cup, Twist } from '@crescent/core/anvil'
import {
  clearOfFindings,
  currentPatterns,
  footOutline,
  PLAIN_SHOE,
  leftOpen,
  nailLimitsOf,
  readFoot,
  type Animal,
  type BreakoverSchoolName,
  type Finding,
  type FootFigureKey,
  type FootInput,
  type FootRecord,
  type Fork,
  type Half,
  type HeelMeasure,
  type KeepClear,
  type Look,
  type NailLimit,
  type Side,
  type ShoeInput,
  type StoredPattern,
  type TipSource,
  type Trace,
  type VisitPage,
} from '@crescent/core'

/** The figures typed so far, possible or not, and the texts that could not be read as figures. */
export interface FootDraft {
  animal: Animal
  /** The school of breakover in use for this foot. */
  school: BreakoverSchoolName
  /** How the width across the heels is taken; outside to outside unless chosen otherwise. */
  heelMeasure?: HeelMeasure
  /** How the tip of P3 was found. */
  tipBy?: TipSource
  /** Places of the wall to keep nails clear of, as marked here. */
  keepClear?: KeepClear[]
  /** What a radiograph, read here, and what was agreed on it limit of the nails. */
  limits?: NailLimit[]
  /** The outline as it was traced; the figures beside it draw it out. */
  trace?: Trace
  figures: Partial<Record<FootFigureKey, number>>
  /** What was typed where it is no figure, by field; nothing typed is lost. */
  entries: Record<string, string>
}

/** What was measured of a shoe on the anvil, mm, and where it was seen off on the foot. */
export interface AnvilDraft {
  by: 'tape' | 'eye' | 'box' | 'points'
  width?: number
  heelWidth?: number
  length?: number
  seen: { branch: Half; place: string; by: number }[]
  /** Points along the middle of its web, as they were typed. */
  points?: string
  /** Sighted along its branches, and how it lies on the anvil. */
  twist?: Twist
  cup?: Cup
  /** What it left on the foot when it was hot, by place. */
  contacts?: Record<string, ContactMark>
  /** Seen with the shoe on the foot: right or not, by name. Held to it, and again on its first two nails. */
  eyed?: Record<string, boolean>
  nailedEyed?: Record<string, boolean>
  /** What this try took so far; its heats are counted at the forge. */
  took?: { walks: number; minutes?: number }
  /** How many of which bends are made. */
  bent?: { count: number; of: string }
  /** Measured with the shoe on the foot, mm, by name of its field. */
  onFoot?: Record<string, number>
  /** The same again once two nails hold it. */
  nailedOnFoot?: Record<string, number>
}

/** The work on one foot of one visit. Whole in itself, so that undo and the browser's store keep it as it is. */
export interface Draft {
  foot: FootDraft
  shoe: ShoeInput
  /** What was seen and measured of the shoe on the anvil, where anything was. */
  anvil?: AnvilDraft
  /**
   * The stored records this work began from; the server refuses it if they changed since.
   * Version 0: sent once and not answered yet.
   */
  base: {
    record: Pick<FootRecord, 'id' | 'version'> | null
    pattern: Pick<StoredPattern, 'id' | 'version' | 'name'> | null
    /** The pattern of another foot or horse, or an earlier one, that a new one was begun from. */
    fork?: Fork
  }
  /** Changed since it was last saved. */
  dirty: boolean
}

/** What is needed of a pattern to work on from it. */
export type TakenUp = Pick<StoredPattern, 'id' | 'version' | 'name' | 'side' | 'horseId' | 'foot' | 'shoe'>

export type Drafts = Record<Side, Draft>

/** What the Bench starts from: what was saved at this visit, else an empty foot and the shoe it wears. */
export function draftsFrom(page: VisitPage): Drafts {
  const wears = currentPatterns(page.patterns)
  const draft = (side: Side): Draft => {
    const record = page.footRecords.find((one) => one.side === side)
    const pattern = page.patterns.find((one) => one.id === record?.patternId) ?? wears[side]
    return {
      foot: record
        ? footDraft(record.foot, page.horse.breakoverSchool)
        : { animal: page.horse.animal, school: page.horse.breakoverSchool, figures: {}, entries: {} },
      shoe: pattern
        ? record
          ? pattern.shoe
          : offTheVan(pattern.shoe, page.visit.date)
        : { ...PLAIN_SHOE, ...page.usual },
      base: {
        record: record ? { id: record.id, version: record.version } : null,
        pattern: pattern ? { id: pattern.id, version: pattern.version, name: pattern.name } : null,
      },
      dirty: false,
    }
  }
  return { LF: draft('LF'), RF: draft('RF'), LH: draft('LH'), RH: draft('RH') }
}

/** A factory shoe as it begins at a visit: a new one of the same size, until somebody says that the old one goes on again. */
const offTheVan = (shoe: ShoeInput, day: string): ShoeInput =>
  shoe.stock ? { ...shoe, stock: { ...shoe.stock, fitted: { since: day, resets: 0 } } } : shoe

/** A stored foot as a draft of it; one from before schools were kept takes the horse's. */
export function footDraft(foot: FootInput, school: BreakoverSchoolName): FootDraft {
  const {
    side: _side,
    animal,
    breakoverSchool,
    heelMeasure,
    tipBy,
    keepClear,
    limits,
    trace,
    ...figures
  } = foot
  // What follows from the look is worked out anew from the look of the day.
  const marked = keepClear?.filter(({ look }) => !look) ?? []
  const kept = limits?.filter(({ look }) => !look) ?? []
  return {
    animal: animal ?? 'horse',
    school: breakoverSchool ?? school,
    ...(heelMeasure && { heelMeasure }),
    ...(tipBy && { tipBy }),
    ...(marked.length > 0 && { keepClear: marked }),
    ...(kept.length > 0 && { limits: kept }),
    ...(trace && { trace }),
    figures,
    entries: {},
  }
}

/** The foot as the core takes it; figures that are missing stay missing and are refused there by name. */
export function footInput(
  side: Side,
  { animal, school, heelMeasure, tipBy, keepClear = [], limits = [], trace, figures }: FootDraft,
  seen: SeenFoot = UNSEEN,
): FootInput {
  const input = {
    side,
    animal,
    // Work this browser kept from before schools were chosen has none.
    breakoverSchool: school ?? 'perimeter',
    ...(heelMeasure && { heelMeasure }),
    ...(tipBy && { tipBy }),
    ...(trace && { trace }),
    ...figures,
  } as FootInput
  const clear = [...keepClear, ...clearOfLook(input, seen.findings)]
  const limited = [...limits, ...seen.limits]
  return {
    ...input,
    ...(clear.length > 0 && { keepClear: clear }),
    ...(limited.length > 0 && { limits: limited }),
  }
}

/** What the look of the day says of one foot: what nails keep clear of, and what limits them. */
export interface SeenFoot {
  findings: readonly Finding[]
  limits: readonly NailLimit[]
}

const UNSEEN: SeenFoot = { findings: [], limits: [] }

/**
 * What was looked at, foot by foot. What was found at the visit before and nobody has answered yet still stands: the horse
 * is not better for not having been asked.
 */
export const seenOf = (look: Look | null): Record<Side, SeenFoot> => {
  const of = (side: Side): SeenFoot =>
    look ? { findings: leftOpen(look.feet[side]), limits: nailLimitsOf(look, side) } : UNSEEN
  return { LF: of('LF'), RF: of('RF'), LH: of('LH'), RH: of('RH') }
}

/** What was found on the wall while looking, as places of this foot: none before it is measured. */
function clearOfLook(input: FootInput, findings: readonly Finding[]): KeepClear[] {
  if (findings.length === 0) return []
  const read = readFoot(input)
  return read.ok ? clearOfFindings(findings, footOutline(read.value.foot)) : []
}

/** Something was measured of this foot. */
export const isMeasured = ({ foot }: Draft): boolean => Object.keys(foot.figures).length > 0

/** One change that can be taken back: what it was made to, on which foot, and how the feet it touched were before. */
export interface Step {
  side: Side
  what: string
  before: Partial<Drafts>
}
