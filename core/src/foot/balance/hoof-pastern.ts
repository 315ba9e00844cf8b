import type { Foot } from '../measurements'

/** How the front of the wall and the front of the pastern stand to each other. */
export interface HoofPastern {
  /** Degrees the pastern stands steeper than the wall: more than 0 broken back, less than 0 broken forward. */
  broken: number
  verdict: 'straight' | 'broken back' | 'broken forward'
}

/** Within this many degrees the axis counts as straight (common practice, no source). */
const STRAIGHT = 2

/** The hoof-pastern axis; unknown without a pastern angle. */
export function hoofPastern({
  toeAngle,
  pasternAngle,
}: Pick<Foot, 'toeAngle' | 'pasternAngle'>): HoofPastern | undefined {
  if (pasternAngle === undefined) return undefined
  const broken = pasternAngle - toeAngle
  const verdict = Math.abs(broken) <= STRAIGHT ? 'straight' : broken > 0 ? 'broken back' : 'broken forward'
  return { broken, verdict }
}
