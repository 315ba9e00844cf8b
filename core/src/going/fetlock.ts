import { seatTilt } from '../modifications/raised'
import type { Plan } from '../plan/plan'
import { radians } from '../units/angle'
import type { Going } from './going'

/** What hoof angle and fetlock come to when shoe and going raise or sink the heels; degrees, plus opens and steepens. */
export interface FetlockChange {
  /** By how much the hoof stands steeper than bare on a hard floor. */
  hoof: number
  /** The coffin joint comes up by this, mm; minus: down. */
  jointRise: number
  /** The fetlock’s angle where the pastern turns with the hoof: one school. */
  followed: number
  /** The fetlock’s angle where the knee stays at its height and the fetlock makes up for a longer limb: the other school. */
  madeUp: number
  /** The lengths it was reckoned with, mm and degrees, and whether they were measured. */
  limb: { pastern: number; pasternAngle: number; measured: boolean }
}

/** Length of the pastern against the front of the wall, where it was not measured (from memory). */
const PASTERN_LONG = 1.2

/**
 * The fetlock over a shoe in the ground: two rigid pieces, hoof and pastern, below a knee that either follows or stays.
 *
 * @param pastern length from the coffin joint to the fetlock, mm, where it was measured
 */
export function fetlockChange(
  plan: Plan,
  going: Pick<Going, 'tilt' | 'onFloor'>,
  pastern?: number,
): FetlockChange {
  const { foot, balance } = plan
  const hoof = seatTilt(plan.cuts) - going.tilt.foreAft - going.onFloor.foreAft
  const long = pastern ?? foot.dorsalLength * PASTERN_LONG
  const angle = foot.pasternAngle ?? foot.toeAngle
  // Raised about the breakover, the joint over the widest part comes up by its lever.
  const jointRise = balance.toeLever * Math.tan(radians(hoof))
  const lowered = Math.sin(radians(angle)) - jointRise / long
  const madeUp = (Math.asin(Math.min(1, Math.max(-1, lowered))) * 180) / Math.PI - angle
  return {
    hoof,
    jointRise,
    followed: hoof,
    madeUp,
    limb: {
      pastern: long,
      pasternAngle: angle,
      measured: pastern !== undefined && foot.pasternAngle !== undefined,
    },
  }
}
