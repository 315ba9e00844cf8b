/** Plans over weeks, by the names they are stored under. */
export const COURSE_KEYS = [
  'expander',
  'laminitis',
  'club-foot',
  'abscess',
  'wall',
  'hospital-plate',
  'road',
  'young-limbs',
] as const
export type CourseKey = (typeof COURSE_KEYS)[number]

/** Who does a step. */
export const DOERS = ['farrier', 'owner', 'vet'] as const
export type Doer = (typeof DOERS)[number]

/** How a course ends. */
export const COURSE_ENDS = ['done', 'stopped'] as const
