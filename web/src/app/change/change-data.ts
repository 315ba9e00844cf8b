import {
  readFoot,
  seriesOf,
  widestKnown,
  widestPart,
  wallGrowth,
  type FootFigureKey,
  type FootInput,
  type FootRecord,
  type Growth,
  type Look,
  type Series,
  type Side,
  type Visit,
} from '@crescent/core'

/** What the charts of one horse are drawn from. */
export interface History {
  visits: readonly Visit[]
  footRecords: readonly FootRecord[]
  looks: readonly Look[]
}

/** One foot over its visits: every figure followed, and how fast its wall grows. */
export interface FootChange {
  series: Series[]
  growth: Growth | undefined
}

/** Figures that were not measured; a widest part that was seen two ways and agreed is as good as measured. */
const guesses = (assumed: readonly FootFigureKey[], foot: FootInput): FootFigureKey[] =>
  assumed.filter((key) => key !== 'widestFromToe' || !widestKnown(assumed, widestPart(foot)))

/** Gathers what was measured on one foot, visit by visit. */
export function changeOf(history: History, side: Side): FootChange {
  const dates = new Map(history.visits.map(({ id, date }) => [id, date]))
  const feet = history.footRecords
    .filter((record) => record.side === side && dates.has(record.visitId))
    .flatMap(({ visitId, foot }) => {
      const read = readFoot(foot)
      return read.ok
        ? [
            {
              date: dates.get(visitId)!,
              visitId,
              foot: read.value.foot,
              assumed: guesses(read.value.assumed, foot),
            },
          ]
        : []
    })
    .sort((a, b) => a.date.localeCompare(b.date))

  // The toe as it was left at one visit against the toe as it was found at the next.
  const cycles = feet.slice(1).flatMap((now, i) => {
    const before = feet[i]!
    const look = history.looks.find(({ visitId }) => visitId === now.visitId)
    const found = look?.feet[side].untrimmed.dorsalLength
    if (found === undefined || before.assumed.includes('dorsalLength')) return []
    return [{ from: before.date, to: now.date, left: before.foot.dorsalLength, found }]
  })
  return { series: seriesOf(feet), growth: wallGrowth(cycles) }
}
