/** A label that wants to stand at a place and takes some width, in the same unit. */
export interface Wanted {
  at: number
  width: number
}

/** Room that stays between two labels. */
const APART = 1.5

/**
 * Where labels stand so that none is printed over another: each as near to its place as the others leave it, all
 * between two ends. Places must rise.
 */
export function spreadLabels(labels: readonly Wanted[], from: number, to: number): number[] {
  const gap = (i: number) => (labels[i - 1]!.width + labels[i]!.width) / 2 + APART
  const placed = labels.map(({ at }) => at)
  for (let i = 0; i < placed.length; i++) {
    const least = i === 0 ? from + labels[0]!.width / 2 : placed[i - 1]! + gap(i)
    placed[i] = Math.max(placed[i]!, least)
  }
  // Pushed to the right so far: back again from the other end, which shares the shift between both.
  for (let i = placed.length - 1; i >= 0; i--) {
    const most = i === placed.length - 1 ? to - labels[i]!.width / 2 : placed[i + 1]! - gap(i + 1)
    placed[i] = Math.min(placed[i]!, most)
  }
  return placed
}
