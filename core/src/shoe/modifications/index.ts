import { eggBar } from './egg-bar'
import { heartBar } from './heart-bar'
import type { Modification } from './modification'
import { quarterClips } from './quarter-clips'
import { rockerToe } from './rocker-toe'
import { rolledToe } from './rolled-toe'
import { straightBar } from './straight-bar'
import { toeClip } from './toe-clip'
import { wedge } from './wedge'

/** Every modification, in the order it is offered; a new one is one file and one line here. */
export const MODIFICATIONS: readonly Modification[] = [
  toeClip,
  quarterClips,
  rolledToe,
  rockerToe,
  wedge,
  straightBar,
  eggBar,
  heartBar,
]

const BY_KIND = new Map(MODIFICATIONS.map((one) => [one.kind, one]))

/** A modification by its kind. */
export const modification = (kind: string): Modification | undefined => BY_KIND.get(kind)

/** Why two kinds cannot stand on one shoe, where they cannot. */
export const clashOf = (one: string, other: string): string | undefined =>
  one === other
    ? 'It is on this shoe already'
    : (BY_KIND.get(one)?.excludes?.[other] ?? BY_KIND.get(other)?.excludes?.[one])
