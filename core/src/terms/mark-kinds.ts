/** What a mark on the bar stands for. */
export const MARK_KINDS = ['toe', 'hole', 'heel-end', 'work'] as const
export type MarkKind = (typeof MARK_KINDS)[number]
