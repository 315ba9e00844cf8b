import {
  bends,
  checkSize,
  describeProblem,
  formatLength,
  fromLightUnit,
  inLightUnit,
  lengthFromSold,
  parseLength,
  type Half,
  type LengthStyle,
  type Size,
  type SizeClips,
  type SizeFeet,
  type SizeKind,
} from '@crescent/core'
import { holeText, readHoleText } from './hole-text'
import { SIZE_LENGTHS, SIZE_NUMBERS, type SizeLength, type SizeNumber } from './size-fields'

/** All of a size but its place in the table. */
export type SizeFigures = Omit<Size, 'id' | 'version'>

/** A size as it stands in the fields: lengths in the unit that is chosen, holes as text. */
export interface TypedSize extends Record<SizeLength | SizeNumber | 'range' | 'label' | Half, string> {
  kind: SizeKind
  feet: SizeFeet
  clips: SizeClips
}

/** What a size begins with where nothing is known of it. */
export const NEW_SIZE: SizeFigures = {
  ...{ range: '', label: '', kind: 'creased-steel', feet: 'front', web: 20, thickness: 8, length: 305 },
  ...{ lengthDerived: false, holes: { lateral: [], medial: [] }, price: null, onVan: 0, keepOnVan: 0 },
  archived: false,
}

/** A size as its fields show it. */
export function typeSize(size: SizeFigures, style: LengthStyle): TypedSize {
  const written = (mm: number | undefined) => (mm === undefined ? '' : formatLength(mm, style, false))
  return {
    ...{ range: size.range, label: size.label, kind: size.kind, feet: size.feet },
    clips: size.clips ?? 'none',
    ...{ web: written(size.web), thickness: written(size.thickness), length: written(size.length) },
    ...{ width: written(size.width), toeToHeels: '', crease: written(size.crease) },
    ...{ lateral: holeText(size.holes.lateral, style), medial: holeText(size.holes.medial, style) },
    weight: size.weight === undefined ? '' : String(inLightUnit(size.weight, style.unit)),
    price: String(size.price ?? ''),
    ...{ onVan: String(size.onVan), keepOnVan: String(size.keepOnVan) },
  }
}

/**
 * What was typed as a size, or what of it cannot be read or contradicts itself, in words. A field
 * nobody touched keeps its figure as exact as it was stored, finer than the unit shows it; a length
 * left empty is worked out of width and toe to heels, and marked as derived.
 */
export function readTypedSize(
  typed: TypedSize,
  start: SizeFigures,
  style: LengthStyle,
): { size: SizeFigures } | { wrong: readonly string[] } {
  const [before, wrong] = [typeSize(start, style), [] as string[]]
  const length = (key: SizeLength): number | undefined => {
    if (key !== 'toeToHeels' && typed[key] === before[key]) return start[key]
    if (typed[key].trim() === '') return undefined
    const read = parseLength(typed[key], style.unit)
    if (read.ok) return Number(read.mm.toFixed(3))
    wrong.push(`${SIZE_LENGTHS[key].label}: ${read.message}`)
    return undefined
  }
  const number = (key: SizeNumber): number | undefined => {
    if (typed[key].trim() === '') return undefined
    const value = Number(typed[key].replace(',', '.'))
    if (Number.isFinite(value) && value >= 0) return value
    wrong.push(`${SIZE_NUMBERS[key].label}: ${typed[key]} is no number`)
    return undefined
  }
  const holes = (branch: Half) => {
    if (typed[branch] === before[branch]) return start.holes[branch]
    const read = readHoleText(typed[branch], style)
    if ('holes' in read) return read.holes
    wrong.push(read.wrong)
    return []
  }

  if (typed.label.trim() === '') wrong.push('Size: a name or number is needed')
  const { kind, feet, clips } = typed
  const [web, thickness, long] = [length('web'), length('thickness'), length('length')]
  const [width, toeToHeels] = [length('width'), length('toeToHeels')]
  const crease = bends(kind) ? undefined : length('crease')
  // What was measured stands before what is worked out.
  const derived =
    long === undefined && width !== undefined && web !== undefined && toeToHeels !== undefined
      ? Number(lengthFromSold({ feet, web, width, toeToHeels }).toFixed(3))
      : undefined
  for (const [label, value] of [
    ['Web', web],
    ['Thickness', thickness],
    ['Length, or width and toe to heels,', long ?? derived],
  ] as const)
    if (value === undefined && wrong.length === 0) wrong.push(`${label} is needed`)
  const heavy = typed.weight === before.weight ? undefined : number('weight')
  const weight = typed.weight === before.weight ? start.weight : heavy && fromLightUnit(heavy, style.unit)
  const size: SizeFigures = {
    ...{ range: typed.range.trim(), label: typed.label.trim(), kind, feet, archived: false },
    ...{ web: web ?? 0, thickness: thickness ?? 0, length: long ?? derived ?? 0 },
    lengthDerived: derived !== undefined || (start.lengthDerived && typed.length === before.length),
    holes: { lateral: holes('lateral'), medial: holes('medial') },
    ...(width !== undefined && { width }),
    ...(weight !== undefined && { weight }),
    ...(crease !== undefined && { crease }),
    ...(clips !== 'none' && { clips }),
    price: number('price') ?? null,
    onVan: Math.round(number('onVan') ?? 0),
    keepOnVan: Math.round(number('keepOnVan') ?? 0),
  }
  // What could not be read is said before what it would contradict.
  if (wrong.length === 0) wrong.push(...checkSize(size, '').map((problem) => describeProblem(problem, style)))
  return wrong.length > 0 ? { wrong } : { size }
}
