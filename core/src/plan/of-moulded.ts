import { wallThicknessAt } from '../foot/wall'
import { nearestStation, placeAt, rightOf } from '../geometry/track'
import { along, turnRight, type Vec } from '../geometry/vector'
import type { Starter } from '../nails/drilled'
import { length, told, type Told } from '../notices/told'
import { SAWN } from '../shoe/moulded/saw-lines'
import { CREASE_WIDTH } from '../shoe/moulded/crease-room'
import type { SizeClips, SizeKind } from '../terms/size-kinds'
import type { Cut } from './iron'
import { HALVES } from '../terms/half'

/** A clip of a moulded shoe and the seat that is cut for it in the wall. */
export interface ClipSeat {
  label: string
  at: Vec
  /** Let in so deep, mm: half the wall there (common practice). */
  depth: number
}

/** What is done to a shoe that cannot be bent, for this foot. Lengths in mm. */
export interface MouldedPlan {
  /** As it comes from the box, laid on the foot: closed. */
  sold: readonly Vec[]
  /** Where the saw goes. */
  saw: readonly (readonly Vec[])[]
  /** The crease on the trimmed shoe, its outer and its inner edge. */
  crease: readonly (readonly Vec[])[]
  /** Most that is sawn off outside; what the crease forbids to saw off; what lies inside the wall. */
  deepest: number
  standsOut: number
  insideWall: number
  /** Sole that the shoe covers inside the white line, least and most from toe to buttress; minus leaves it free. */
  onSole: { least: number; most: number }
  drilled: readonly Starter[]
  clipSeats: readonly ClipSeat[]
  /** How it is done, in the order of the work. */
  words: readonly Told[]
}

/** What is told of a moulded shoe; of any other there is nothing to tell. */
export function mouldedPlan(cut: Cut): MouldedPlan | undefined {
  const { moulded, stock, drilled = [], rims } = cut
  if (!moulded || !stock) return undefined
  const { sold, saw, deepest, standsOut, insideWall, creaseAt } = moulded
  const beside = (more: number) =>
    rims.outer.points.map((point, i) =>
      along(point, turnRight(rims.outer.tangents[i]!), -creaseAt(rims.outer.stations[i]!) - more),
    )
  const clipSeats = seatsOf(cut, stock.facts.clips ?? 'none')
  const onSole = soleUnder(cut)
  return {
    sold: [...sold.outer.points, ...[...sold.inner.points].reverse()],
    crease: [beside(0), beside(CREASE_WIDTH)],
    ...{ saw, deepest, standsOut, insideWall, onSole, drilled, clipSeats },
    words: wordsFor(cut, stock.facts.kind, deepest, clipSeats),
  }
}

/** How it is done, in the order of the work. */
function wordsFor(
  { iron, drilled = [] }: Cut,
  kind: SizeKind,
  deepest: number,
  clipSeats: readonly ClipSeat[],
): Told[] {
  const cuts = iron.heelToCut ?? { lateral: 0, medial: 0 }
  return [
    'Lay it flush with the inner wall and draw round the foot; nothing of it is opened or closed.',
    ...(deepest > SAWN
      ? [told`Saw along the outside, ${length(deepest)} at the most, nowhere into the crease.`]
      : ['Nothing to saw off outside: rasp its edge level with the wall.']),
    ...HALVES.flatMap((branch) =>
      cuts[branch] > 0
        ? [told`${branch === 'lateral' ? 'Outer' : 'Inner'} heel: saw off ${length(cuts[branch])}.`]
        : [],
    ),
    ...clipSeats.map(
      ({ label, depth }) =>
        told`${label}: let its seat ${length(depth, 'fine')} into the wall, half of it there.`,
    ),
    ...(drilled.length > 0
      ? [
          'Carry the wall’s thickness over from the foot at each nail; drill from the ground face at the lean that is told.',
        ]
      : []),
    kind === 'plate-cored'
      ? 'Drive the heads down to the metal.'
      : 'Drive the heads home in the crease, no deeper: they would cut through.',
    'Round its edge from heel to heel where it was sawn, so that nothing can be stepped on.',
  ]
}

/** How much sole lies under it inside the white line, where there is wall beside it. */
function soleUnder({ foot, outline, rims }: Cut): MouldedPlan['onSole'] {
  const under = rims.places.flatMap(({ point }, i) => {
    const station = nearestStation(outline.track, point)
    if (station <= 0 || station >= outline.track.stations[outline.track.stations.length - 1]!) return []
    const outside = rightOf(placeAt(outline.track, station), point)
    return [rims.web[i]! - outside - wallThicknessAt(foot, outline, station) - foot.whiteLineWidth]
  })
  return { least: Math.min(...under), most: Math.max(...under) }
}

/** Quarter clips stand so far along from the toe, as a share of the branch (common practice, no source). */
const QUARTER = 0.3

function seatsOf({ foot, outline, rims }: Cut, clips: SizeClips): ClipSeat[] {
  const long = rims.outer.stations[rims.outer.stations.length - 1]!
  const seat = (label: string, station: number): ClipSeat => {
    const at = placeAt(rims.outer, station).point
    return { label, at, depth: wallThicknessAt(foot, outline, nearestStation(outline.track, at)) / 2 }
  }
  if (clips === 'none') return []
  if (clips === 'toe') return [seat('Toe clip', rims.toe)]
  return [
    seat('Outer quarter clip', rims.toe * (1 - QUARTER)),
    seat('Inner quarter clip', rims.toe + (long - rims.toe) * QUARTER),
  ]
}
