import type { CourseKey } from '../terms/courses'
import type { CourseKind } from './kind'
import { abscess } from './kinds/abscess'
import { clubFoot } from './kinds/club-foot'
import { expander } from './kinds/expander'
import { hospitalPlate } from './kinds/hospital-plate'
import { laminitis } from './kinds/laminitis'
import { road } from './kinds/road'
import { wall } from './kinds/wall'
import { youngLimbs } from './kinds/young-limbs'

/** Every course there are rules for. Adding one is adding its file, its name in `terms/courses` and its line here. */
export const COURSES: readonly CourseKind[] = [
  expander,
  laminitis,
  clubFoot,
  abscess,
  wall,
  hospitalPlate,
  road,
  youngLimbs,
]

const BY_KEY = new Map(COURSES.map((kind) => [kind.key, kind]))

/** The rules of a course. */
export const courseKind = (key: CourseKey): CourseKind => BY_KEY.get(key)!

/** Courses that follow from what is made and from what was advised, those first that both call for. */
export function coursesFor(modifications: readonly string[], advice: readonly string[]): CourseKind[] {
  const calls = ({ follows }: CourseKind): number =>
    Number((follows.modifications ?? []).some((kind) => modifications.includes(kind))) +
    Number((follows.advice ?? []).some((code) => advice.includes(code)))
  return COURSES.filter((kind) => calls(kind) > 0).sort((a, b) => calls(b) - calls(a))
}
