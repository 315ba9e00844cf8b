/** What a path costs at each offset of each column: column by column. */
export interface Costs {
  columns: number
  offsets: number
  values: Float32Array
}

/**
 * The path through all columns, one offset in each, that costs least together with what its steps cost.
 *
 * @param stiffness cost of a step of one offset from a column to the next; two cost four times that
 * @param reach the longest step, in offsets
 * @param closed the last column lies beside the first: the path is looked for round and round, and its middle round taken
 */
export function bestPath(
  { columns, offsets, values }: Costs,
  stiffness: number,
  reach: number,
  closed: boolean,
): number[] {
  const lead = closed ? Math.min(columns, Math.ceil(columns / 2)) : 0
  const walked = columns + 2 * lead
  const columnOf = (i: number) => (((i - lead) % columns) + columns) % columns
  const from = new Int16Array(walked * offsets)
  let before = Float64Array.from(values.subarray(columnOf(0) * offsets, (columnOf(0) + 1) * offsets))
  for (let i = 1; i < walked; i++) {
    const here = new Float64Array(offsets)
    const at = columnOf(i) * offsets
    for (let k = 0; k < offsets; k++) {
      let [least, best] = [Infinity, k]
      for (let j = Math.max(0, k - reach); j <= Math.min(offsets - 1, k + reach); j++) {
        const cost = before[j]! + stiffness * (k - j) * (k - j)
        if (cost < least) [least, best] = [cost, j]
      }
      here[k] = least + values[at + k]!
      from[i * offsets + k] = best
    }
    before = here
  }
  let k = before.reduce((best, cost, i) => (cost < before[best]! ? i : best), 0)
  const path = new Array<number>(walked)
  for (let i = walked - 1; i >= 0; i--) {
    path[i] = k
    k = from[i * offsets + k]!
  }
  return path.slice(lead, lead + columns)
}
