/** What is left of a shoe, as an eye tells it: shares of the bar it was made from. */
export const WEAR_SHARES = [
  { key: 'all', share: 1 },
  { key: '3/4', share: 0.75 },
  { key: 'half', share: 0.5 },
  { key: '1/4', share: 0.25 },
  { key: 'none', share: 0 },
] as const
export type WearShare = (typeof WEAR_SHARES)[number]['key']

/** Nearer than this a thickness is a share, mm: what was tapped comes back as it was tapped, what was measured does not. */
const SAME = 0.01

/** What a share leaves of a bar, mm. */
export const leftOf = (thickness: number, key: WearShare): number =>
  thickness * WEAR_SHARES.find((one) => one.key === key)!.share

/** The share that a thickness is, where it is one. */
export const shareLeft = (left: number | undefined, thickness: number): WearShare | undefined =>
  left === undefined
    ? undefined
    : WEAR_SHARES.find(({ share }) => Math.abs(share * thickness - left) < SAME)?.key
