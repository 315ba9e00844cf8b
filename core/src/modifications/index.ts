import { boxing } from './boxing'
import { crease } from './crease'
import { eggBar } from './egg-bar'
import { fourRailPlate } from './four-rail-plate'
import { hardFacing } from './hard-facing'
import { heartBar } from './heart-bar'
import { hingedExpander } from './hinged-expander'
import { hospitalPlate } from './hospital-plate'
import { lateralExtension } from './lateral-extension'
import type { Modification } from './modification'
import { pad } from './pad'
import { perimeterBevel } from './perimeter-bevel'
import { quarterClips } from './quarter-clips'
import { rockerToe } from './rocker-toe'
import { rolledToe } from './rolled-toe'
import { safeing } from './safeing'
import { seatingOut } from './seating-out'
import { sideClips } from './side-clips'
import { slideShoe } from './slide-shoe'
import { squaredToe } from './squared-toe'
import { straightBar } from './straight-bar'
import { studs } from './studs'
import { toeClip } from './toe-clip'
import { trailer } from './trailer'
import { wedge } from './wedge'
import { wideOuterBranch } from './wide-outer-branch'
import { wideToe } from './wide-toe'

/** Every modification, in the order it is offered; a new one is one file and one line here. */
export const MODIFICATIONS: readonly Modification[] = [
  toeClip,
  quarterClips,
  sideClips,
  rolledToe,
  rockerToe,
  squaredToe,
  perimeterBevel,
  wedge,
  straightBar,
  eggBar,
  heartBar,
  trailer,
  lateralExtension,
  wideOuterBranch,
  wideToe,
  slideShoe,
  hospitalPlate,
  pad,
  hingedExpander,
  fourRailPlate,
  hardFacing,
  studs,
  crease,
  seatingOut,
  boxing,
  safeing,
]

const BY_KIND = new Map(MODIFICATIONS.map((one) => [one.kind, one]))

/** A modification by its kind. */
export const modification = (kind: string): Modification | undefined => BY_KIND.get(kind)

/** Why two kinds cannot stand on one shoe, where they cannot. */
export const clashOf = (one: string, other: string): string | undefined =>
  one === other
    ? 'It is on this shoe already'
    : (BY_KIND.get(one)?.excludes?.[other] ?? BY_KIND.get(other)?.excludes?.[one])

/** What is to be thought of two kinds on one shoe that may stand there together. */
export const warningOf = (one: string, other: string): string | undefined =>
  BY_KIND.get(one)?.warns?.[other] ?? BY_KIND.get(other)?.warns?.[one]
