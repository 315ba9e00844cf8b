import {
  planShoe,
  ProblemError,
  type FootInput,
  type Problem,
  type ShoeInput,
  type Told,
  type WorkshopInput,
} from '@crescent/core'
import {
  fetlockChange,
  goingOf,
  goingWords,
  slipOf,
  throughStride,
  type FetlockChange,
  type Going,
  type Ground,
  type LoadMomentKey,
  type Packing,
  type Slip,
} from '@crescent/core/going'
import type { Vec } from '@crescent/core'

/** A design, and the ground and load it stands under. */
export interface AskedStanding {
  foot: FootInput
  shoe: ShoeInput
  workshop: WorkshopInput
  ground: Ground
  load: { newtons: number; at: Vec }
  /** kg, for the whole stride. */
  kg: number
  packing?: Packing
  /** Degrees by which the foot points outward of the line it slides along. */
  toeOut?: number
  /** mm from the coffin joint to the fetlock, where it was measured. */
  pastern?: number
}

/** How a design stands: what is drawn and told of it. */
export interface Stood {
  going: Omit<Going, 'bed'>
  words: Told[]
  /** Who carries at each moment of the stride, and how the foot is tilted. */
  stride: { key: LoadMomentKey; label: string; shares: Going['shares']; foreAft: number }[]
  fetlock: FetlockChange
  slip: Slip
}

/** Why it does not stand. */
export type Standing = { ok: true; stood: Stood } | { ok: false; problems: readonly Problem[] }

/** Works out how a design stands; what cannot be is said by figure. */
export function standingOf(asked: AskedStanding): Standing {
  try {
    const plan = planShoe(asked.foot, asked.shoe, asked.workshop)
    const { ground, load, packing, kg, pastern, toeOut = 0 } = asked
    const { bed: _bed, ...going } = goingOf(plan, { ground, load, ...(packing && { packing }) })
    const stride = throughStride(plan, ground, kg, packing).map(({ moment, going: then }) => ({
      key: moment.key,
      label: moment.label,
      shares: then.shares,
      foreAft: then.tilt.foreAft,
    }))
    return {
      ok: true,
      stood: {
        going,
        words: goingWords(going),
        stride,
        fetlock: fetlockChange(plan, going, pastern),
        slip: slipOf(plan, going.inGround, -toeOut),
      },
    }
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problems: error.problems }
    throw error
  }
}
