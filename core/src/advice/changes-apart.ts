import { clashOf, modification } from '../modifications/index'
import type { AdviceChange } from './advice'

/** What two changes ask of one shoe that it cannot both be: nothing where it can. Noun phrases: `the fit`. */
export function changesApart(one: AdviceChange = {}, other: AdviceChange = {}): string[] {
  const apart: string[] = []
  const differ = <K extends keyof AdviceChange>(key: K) =>
    one[key] !== undefined &&
    other[key] !== undefined &&
    JSON.stringify(one[key]) !== JSON.stringify(other[key])
  if (differ('fit')) apart.push('the fit')
  if (differ('breakoverSchool')) apart.push('the school of breakover')
  if (differ('nailSchool')) apart.push('the limits of the nails')
  if (differ('driven')) apart.push('which nails are driven')
  const [mine, theirs] = [one.modification, other.modification]
  const reason = mine !== undefined && theirs !== undefined && mine !== theirs && clashOf(mine, theirs)
  if (reason) apart.push(`${nameOf(mine)} beside ${nameOf(theirs)}: ${reason}`)
  return apart
}

const nameOf = (kind: string): string => modification(kind)?.label.toLowerCase() ?? kind
