import { thinnerWall } from '../foot/thinner-wall'
import type { Foot } from '../foot/measurements'
import type { Section } from '../records/shoe'
import { inches } from '../units/length'
import { length, told, type Told } from '../notices/told'
import type { FitName } from '../terms/fits'

/** A bar that a supplier has, with the work it is usual for. */
export interface CommonSection {
  section: Section
  /** As it is asked for over the counter: `3/4 x 5/16`. */
  name: string
  use: string
}

const steel = (name: string, width: number, thickness: number, use: string): CommonSection => ({
  section: { shape: 'flat', width: inches(width), thickness: inches(thickness), material: 'steel' },
  name,
  use,
})

const aluminium = (name: string, width: number, thickness: number, use: string): CommonSection => ({
  section: { shape: 'flat', width: inches(width), thickness: inches(thickness), material: 'aluminium' },
  name,
  use,
})

/** Usual handmade sections (common practice, no source; the two heaviest from memory). */
export const COMMON_SECTIONS: readonly CommonSection[] = [
  steel('1/2 x 1/4', 1 / 2, 1 / 4, 'yearlings and small ponies'),
  steel('5/8 x 1/4', 5 / 8, 1 / 4, 'light shoes'),
  steel('3/4 x 1/4', 3 / 4, 1 / 4, 'general, lighter'),
  steel('3/4 x 5/16', 3 / 4, 5 / 16, 'general'),
  steel('3/4 x 3/8', 3 / 4, 3 / 8, 'general, long wear'),
  steel('1 x 5/16', 1, 5 / 16, 'slide shoes'),
  steel('1 x 3/8', 1, 3 / 8, 'heavy horses'),
  steel('1 1/4 x 1/2', 1.25, 1 / 2, 'the heaviest horses'),
  aluminium('aluminium 1 x 3/8', 1, 3 / 8, 'four-rail plates, light feet'),
  aluminium('aluminium 1 x 1/2', 1, 1 / 2, 'four-rail plates'),
]

/** Foot width in inches up to which a general section is usual. */
const BY_WIDTH: readonly (readonly [upTo: number, name: string])[] = [
  [4.2, '1/2 x 1/4'],
  [4.6, '5/8 x 1/4'],
  [5, '3/4 x 1/4'],
  [5.5, '3/4 x 5/16'],
  [6.1, '3/4 x 3/8'],
  [7.2, '1 x 3/8'],
  [Infinity, '1 1/4 x 1/2'],
]

export interface SuggestedSection extends CommonSection {
  reason: Told
}

/** The nearest common section for a foot, with the reason. A slide fit asks for the slide section. */
export function suggestSection(foot: Foot, fit: FitName | undefined): SuggestedSection {
  if (fit === 'slide')
    return { ...named('1 x 5/16'), reason: 'Slide shoes are made from it: wide enough to run on.' }
  const wide = foot.width / 25.4
  const index = BY_WIDTH.findIndex(([upTo]) => wide <= upTo)
  const thin = thinnerWall(foot) < 6.5 && index > 0
  const chosen = named(BY_WIDTH[thin ? index - 1 : index]![1])
  const size =
    BY_WIDTH[index]![0] === Infinity
      ? 'the widest feet'
      : told`feet up to ${length(inches(BY_WIDTH[index]![0]))} wide`
  const reason = thin
    ? told`One lighter than usual for ${size}: the wall is thin and carries only slim nails.`
    : told`Usual for ${size}.`
  return { ...chosen, reason }
}

const named = (name: string): CommonSection => COMMON_SECTIONS.find((common) => common.name === name)!

/** The trade name of a section, `3/4 x 5/16`, where it is a common flat bar. */
export const commonName = (section: Section): string | undefined =>
  COMMON_SECTIONS.find(
    ({ section: common }) =>
      section.shape === 'flat' &&
      section.material === common.material &&
      Math.abs(common.width - section.width) < 0.05 &&
      Math.abs(common.thickness - section.thickness) < 0.05,
  )?.name
