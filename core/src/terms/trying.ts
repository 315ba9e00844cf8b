import { HALVES } from './half'
/** Which way a shoe is sprung, sighted along both branches from the heels. */
export const TWISTS = ['level', 'outer heel up', 'inner heel up'] as const
export type Twist = (typeof TWISTS)[number]

/** How it lies on the anvil's face, ground surface down. */
export const CUPS = ['flat', 'stands on toe and heels', 'rocks on its quarters'] as const
export type Cup = (typeof CUPS)[number]

/** What a hot shoe leaves on the foot, place by place. */
export const CONTACT_MARKS = ['even', 'gap', 'chipped wall', 'sole pressure'] as const
export type ContactMark = (typeof CONTACT_MARKS)[number]

/** Places of a branch, toe to heel: as a contact is tapped, and as corrections are counted. */
export const BRANCH_PARTS = ['toe', 'toe quarter', 'quarter', 'heel'] as const
export type BranchPart = (typeof BRANCH_PARTS)[number]

/** The places of both branches by name, as a contact is kept: `lateral heel`. */
export const CONTACT_KEYS = HALVES.flatMap((branch) =>
  BRANCH_PARTS.map((part) => `${branch} ${part}` as const),
)

/** Where each part of a branch ends, as a share of it from the toe (common practice, no source for the amounts). */
export const PART_ENDS: Readonly<Record<BranchPart, number>> = {
  toe: 0.14,
  'toe quarter': 0.42,
  quarter: 0.76,
  heel: 1,
}

/** The part of a branch in which a share of it lies. */
export const partAt = (share: number): BranchPart =>
  BRANCH_PARTS.find((part) => share <= PART_ENDS[part]) ?? 'heel'
