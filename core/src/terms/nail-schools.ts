/** Schools of nailing, by name; their rules are in `nails/schools.ts`. */
export const NAIL_SCHOOL_NAMES = ['sound', 'laminitic'] as const
export type NailSchoolName = (typeof NAIL_SCHOOL_NAMES)[number]
