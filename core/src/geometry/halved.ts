/**
 * The last place found between two before which something is so, and behind which it is not, by halving.
 *
 * @param steps each halves what is not known
 */
export function halved(from: number, to: number, before: (at: number) => boolean, steps = 50): number {
  let [low, high] = [from, to]
  for (let i = 0; i < steps; i++) {
    const middle = (low + high) / 2
    if (before(middle)) low = middle
    else high = middle
  }
  return low
}
