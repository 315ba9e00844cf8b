import type { Plan } from '../plan/plan'

/** The shank of a middling nail, mm, and the room a hole leaves about it (common practice, no source for the amounts). */
const USUAL_SHANK = 2.4
const ROOM = 1

/** How wide the nail holes of a shoe are drawn and bored, mm. */
export const holeSize = ({ nailing }: Pick<Plan, 'nailing'>): number =>
  (nailing.size?.shank ?? USUAL_SHANK) + ROOM
