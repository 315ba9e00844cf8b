import type { Plan } from '../plan/plan'
import { radians } from '../units/angle'
import { placesOf, type Going } from './going'

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
  const hoof = pitchOf(plan) - going.tilt.foreAft - going.onFloor.foreAft
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

/** Degrees by which a shoe is thicker behind than in front: wedges, read from its sections. */
function pitchOf(plan: Plan): number {
  const { cuts } = plan
  const { toe, heels } = placesOf(plan)
  const front = cuts.reduce((a, b) => (b.place.fromToe < a.place.fromToe ? b : a)).form.thickness
  const behind = (cuts[0]!.form.thickness + cuts[cuts.length - 1]!.form.thickness) / 2
  const run = toe[1] - (heels[0][1] + heels[1][1]) / 2
  return (Math.atan((behind - front) / run) * 180) / Math.PI
}
