import { outOfRange } from '../notices/range'
import { problem, type Problem } from '../notices/problem'
import type { FootInput } from '../records/foot'
import type { Caution } from '../notices/caution'
import { question } from '../notices/question'
import { readTrace } from '../tracing/read-trace'
import { tracedShares } from './traced-figures'
import { widestPart } from './widest-part'
import { FOOT_FIGURES, type FootFigure, type FootFigureKey, type KnownFigures } from './figures'

/** Figures that are never guessed: unknown until somebody measures them. */
type UnguessedKey =
  | 'soleDepth'
  | 'tipFromToe'
  | 'tipBy'
  | 'wornBreakover'
  | 'barsFromToe'
  | 'arcFromToe'
  | 'solePlane'
  | 'pasternAngle'
  | 'palmarAngle'
  | 'plumbBehind'

/**
 * A foot with every figure known, given or taken by default. Lengths in mm, angles in degrees. Heel width is outside
 * to outside, whichever way it was taken.
 */
export type Foot = Omit<Required<FootInput>, UnguessedKey | 'keepClear' | 'limits' | 'trace'> &
  Pick<FootInput, UnguessedKey | 'trace'>

export interface ReadFoot {
  foot: Foot
  /** The figures that were not given and stand at their default. */
  assumed: FootFigureKey[]
  /** Figures that are possible but hard to believe. */
  questions: Caution[]
}

/**
 * Completes a foot from its five needed figures and whatever refinements are given.
 *
 * @returns the foot, or every problem: a figure that is missing, not a number, or not possible beside the others
 */
export function readFoot(
  input: FootInput,
): { ok: true; value: ReadFoot } | { ok: false; problems: Problem[] } {
  const trace = input.trace && readTrace(input.trace)
  if (typeof trace === 'string') return { ok: false, problems: [problem('foot.trace', trace)] }
  const traced = trace && tracedShares(trace)
  const reading: Reading = { known: knownAtFirst(input), problems: [], assumed: [], questions: [] }
  const { known, problems, assumed, questions } = reading
  for (const figure of FOOT_FIGURES) {
    const given = input[figure.key]
    // Measured from middle to middle of the web, the foot is a web wider from outside to outside.
    const shift = figure.key === 'heelWidth' && input.heelMeasure === 'middle of web' ? known.heelWeb : 0
    const full = figure.range(known)
    const range = [full[0] - shift, full[1] - shift] as const
    if (given !== undefined) {
      takeUp(reading, figure, given, shift, range)
      continue
    }
    const fallback = traced?.[figure.key] ?? figure.fallback
    if (fallback) {
      // A default is drawn into what is possible; only what somebody typed is refused.
      known[figure.key] = clamp(fallback(known), range)
      assumed.push(figure.key)
    } else if (figure.needed) {
      const { key, label } = figure
      problems.push({ path: `foot.${key}`, figure: label, message: `${label} is needed` })
    }
    if (problems.length > 0 && figure.needed) break
  }
  if (problems.length > 0) return { ok: false, problems }
  return { ok: true, value: { foot: withoutAgreed(known), assumed, questions } }
}

/** What is known so far, and what was found on the way. */
interface Reading {
  known: KnownFigures
  problems: Problem[]
  assumed: FootFigureKey[]
  questions: Caution[]
}

/** What is known before any figure is read. */
function knownAtFirst(input: FootInput): KnownFigures {
  const { agreed, confidence = 0 } = widestPart(input)
  return {
    side: input.side,
    animal: input.animal ?? 'horse',
    breakoverSchool: input.breakoverSchool ?? 'perimeter',
    heelMeasure: 'outside',
    ...(input.tipBy && { tipBy: input.tipBy }),
    ...(input.trace && { trace: input.trace }),
    ...(agreed !== undefined && { agreedWidest: { at: agreed, confidence } }),
  } as unknown as KnownFigures
}

/** Takes up a figure that was given: refused where it is not possible, asked about where it is hard to believe. */
function takeUp(
  { known, problems, questions }: Reading,
  { key, label, kind, usual: usually }: FootFigure,
  given: number,
  shift: number,
  range: readonly [number, number],
): void {
  const wrong = outOfRange(`foot.${key}`, label, kind, given, range)
  if (wrong) {
    problems.push(wrong)
    // The ranges of what follows lean on this figure: a clamped stand-in still finds their own faults.
    known[key] = (Number.isFinite(given) ? clamp(given, range) : range[0]) + shift
    return
  }
  const value = given + shift
  known[key] = value
  const { animal = 'horse' } = known
  const usual = usually?.[animal]
  if (usual && (value < usual[0] * (2 / 3) || value > usual[1] * (4 / 3)))
    questions.push(question({ key, label, kind, value: given, usual, animal }))
}

/** The foot alone; an object is slow to copy but for one of its parts, and most have none of that. */
function withoutAgreed(known: KnownFigures): Foot {
  if (!known.agreedWidest) return known as unknown as Foot
  const { agreedWidest: _agreed, ...foot } = known
  return foot as unknown as Foot
}

const clamp = (value: number, [low, high]: readonly [number, number]): number =>
  Math.min(high, Math.max(low, value))
