/** What a path costs at each offset of each column: column by column. */
export interface Costs {
  columns: number
  offsets: number
  values: Float32Array
}

/** A path, and how much dearer the best one is in each column that keeps away from it there. */
export interface PathFound {
  path: number[]
  rivals: number[]
}

/**
 * The path through all columns, one offset in each, that costs least together with what its steps cost.
 *
 * @param stiffness cost of a step of one offset from a column to the next; two cost four times that
 * @param reach the longest step, in offsets
 * @param closed the last column lies beside the first: the path is looked for round and round, and its middle round taken
 */
export function bestPath(costs: Costs, stiffness: number, reach: number, closed: boolean): number[] {
  const walk = walkOf(costs, closed)
  const ahead = walked(walk, stiffness, reach)
  return middleRound(walk, traced(walk, ahead))
}

/**
 * The same, and how sure it is: by how much the cheapest path is dearer that runs at least so many offsets beside it in a column.
 *
 * @param apart offsets; where no path lies so far beside, the rival is Infinity
 */
export function bestPathAndRivals(
  costs: Costs,
  stiffness: number,
  reach: number,
  closed: boolean,
  apart: number,
): PathFound {
  const walk = walkOf(costs, closed)
  const ahead = walked(walk, stiffness, reach)
  const path = traced(walk, ahead)
  const back = walked({ ...walk, order: [...walk.order].reverse() }, stiffness, reach)
  const { order, offsets, values } = walk
  const last = order.length - 1
  const rivals = path.map((at, i) => {
    let [least, beside] = [Infinity, Infinity]
    for (let k = 0; k < offsets; k++) {
      // What leads here from either end, this column counted once.
      const through =
        ahead.costs[i * offsets + k]! +
        back.costs[(last - i) * offsets + k]! -
        values[order[i]! * offsets + k]!
      least = Math.min(least, through)
      if (Math.abs(k - at) >= apart) beside = Math.min(beside, through)
    }
    return beside - least
  })
  return { path: middleRound(walk, path), rivals: middleRound(walk, rivals) }
}

/** Columns in the order they are walked: round and round where the path is closed. */
interface Walk extends Costs {
  order: number[]
  lead: number
}

function walkOf(costs: Costs, closed: boolean): Walk {
  const { columns } = costs
  const lead = closed ? Math.min(columns, Math.ceil(columns / 2)) : 0
  const order = Array.from(
    { length: columns + 2 * lead },
    (_, i) => (((i - lead) % columns) + columns) % columns,
  )
  return { ...costs, order, lead }
}

const middleRound = ({ lead, columns }: Walk, along: readonly number[]): number[] =>
  along.slice(lead, lead + columns)

/** What the cheapest way to each offset of each column costs, and from which offset of the one before it comes. */
function walked({ order, offsets, values }: Walk, stiffness: number, reach: number) {
  const from = new Int16Array(order.length * offsets)
  const costs = new Float64Array(order.length * offsets)
  costs.set(values.subarray(order[0]! * offsets, (order[0]! + 1) * offsets))
  for (let i = 1; i < order.length; i++) {
    const [here, before, at] = [i * offsets, (i - 1) * offsets, order[i]! * offsets]
    for (let k = 0; k < offsets; k++) {
      let [least, best] = [Infinity, k]
      for (let j = Math.max(0, k - reach); j <= Math.min(offsets - 1, k + reach); j++) {
        const cost = costs[before + j]! + stiffness * (k - j) * (k - j)
        if (cost < least) [least, best] = [cost, j]
      }
      costs[here + k] = least + values[at + k]!
      from[here + k] = best
    }
  }
  return { costs, from }
}

function traced({ order, offsets }: Walk, { costs, from }: ReturnType<typeof walked>): number[] {
  const end = (order.length - 1) * offsets
  let k = 0
  for (let j = 1; j < offsets; j++) if (costs[end + j]! < costs[end + k]!) k = j
  const path = new Array<number>(order.length)
  for (let i = order.length - 1; i >= 0; i--) {
    path[i] = k
    k = from[i * offsets + k]!
  }
  return path
}
