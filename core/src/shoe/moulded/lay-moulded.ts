import type { Foot } from '../../foot/measurements'
import type { FootOutline } from '../../foot/outline'
import { figureAlong } from '../../geometry/figure-along'
import { parallel } from '../../geometry/parallel'
import { nearestStation, placeAt, rightOf, sliceTrack, trackLength, type Track } from '../../geometry/track'
import { turnRight, type Vec } from '../../geometry/vector'
import type { SizeFacts } from '../../records/size'
import { byHalf, HALVES, type Half } from '../../terms/half'
import type { Moved } from '../../terms/moulded'
import { soldRim, widthOf } from '../as-sold'
import type { Fit } from '../fit'
import type { Lay, OuterRim } from '../lay'
import { toCut } from '../to-cut'
import { creaseFrom } from './crease-room'
import { flushPlacement, movedBy, placed } from './placement'
import { sawLines } from './saw-lines'
import { outsideBy, trimmedTo } from './trimmed'
import { wantedRim, type WantedRim } from './wanted-rim'

/** A shoe that cannot be bent as it lies under the foot, whole and trimmed. Lengths in mm. */
export interface Moulded {
  /** The lay of the trimmed shoe. */
  lay: Lay
  /** As it comes from the box, laid on the foot. */
  sold: { outer: Track; inner: Track }
  /** Where the saw goes along the outer rim; and across each heel that is cut. */
  saw: Vec[][]
  /** Most that is sawn off outside. */
  deepest: number
  /** Most that the crease forbids to take off: it still stands outside the line of the fit. */
  standsOut: number
  /** Most that the rim lies inside the wall, between the toe and the buttresses. */
  insideWall: number
  /** What a foot of this width wants, across the rim. */
  widthWanted: number
  /** From the trimmed rim to where the crease begins, by station of the trimmed rim. */
  creaseAt: (station: number) => number
  heelLeft: Record<Half, number>
  heelToCut: Record<Half, number>
}

/** What the farrier says of it: moved from where it lies flush, and cut at the heels otherwise than the fit asks for, mm. */
interface Handled {
  moved?: Moved | undefined
  cutOff?: { [H in Half]?: number | undefined } | undefined
}

/**
 * Lays a shoe that cannot be bent flush with the inner wall, moves it as it is asked for, and trims it to the line of
 * the fit, outside and at the heels, nowhere into its crease.
 */
export function layMoulded(
  facts: SizeFacts,
  { moved = {}, cutOff = {} }: Handled,
  { foot, fit, outline, asWanted }: { foot: Foot; fit: Fit; outline: FootOutline; asWanted: Lay },
): Moulded {
  const wanted = wantedRim(foot, outline, asWanted)
  const box = soldRim(facts)
  const outer = placed(box, movedBy(flushPlacement(box, wanted.line, wanted.toe), moved))
  const inner = parallel(outer, -facts.web)
  const room = creaseFrom(facts)
  const trimmed = trimmedTo(outer, wanted.line, room)
  const { rim, taken, standsOut } = trimmed
  const web = webLeft(rim, inner, taken, facts.web)

  const heelLeft = heelsLeft(rim, wanted, fit)
  const heelToCut = byHalf((branch) => cutOff[branch] ?? toCut(heelLeft[branch]))
  const long = trackLength(rim)
  const cut = sliceTrack(rim, heelToCut.lateral, long - heelToCut.medial)
  const laid = rimOn(outline, cut)
  const along = (figures: readonly number[], station: number) =>
    figureAlong(rim.stations, figures, Math.min(long, Math.max(0, station + heelToCut.lateral)))

  const isKept = (station: number) => station >= heelToCut.lateral && station <= long - heelToCut.medial
  const onFoot = rim.points.map((point) => HALVES.every((branch) => wanted.behind(branch, point) < 0))
  return {
    lay: {
      ...asWanted,
      heelLength: byHalf((branch) => fit.heelLength + heelLeft[branch] - heelToCut[branch]),
      rework: () => laid,
      web: ({ branch, fromToe }) => along(web, laid.toe + (branch === 'lateral' ? -fromToe : fromToe)),
    },
    sold: { outer, inner },
    saw: sawLines(trimmed, heelToCut, cut, inner),
    deepest: Math.max(0, ...taken.filter((_, i) => isKept(rim.stations[i]!))),
    standsOut: Math.max(0, ...standsOut.filter((_, i) => onFoot[i])),
    insideWall: Math.max(
      0,
      ...rim.points.filter((_, i) => onFoot[i]).map((point) => insideBy(outline, point)),
    ),
    widthWanted: widthOf(wanted.line),
    creaseAt: (station) => room - along(taken, station),
    heelLeft,
    heelToCut,
  }
}

/** How much further each branch runs than the fit asks for, mm; minus falls short of it. */
function heelsLeft({ points }: Track, { behind }: WantedRim, fit: Fit): Record<Half, number> {
  const ends = { lateral: points[0]!, medial: points[points.length - 1]! }
  return byHalf((branch) => behind(branch, ends[branch]) - fit.heelLength)
}

/** A rim with the places of it that lie beside those of the foot. */
function rimOn(outline: FootOutline, rim: Track): OuterRim {
  const near = (footStation: number) => nearestStation(rim, placeAt(outline.track, footStation).point)
  return {
    track: rim,
    lateralBend: near(outline.lateralWidest),
    toe: near(outline.toe),
    medialBend: near(outline.medialWidest),
  }
}

/** How far a place lies inside the wall, mm; minus outside it. */
const insideBy = ({ track }: FootOutline, point: Vec): number =>
  -rightOf(placeAt(track, nearestStation(track, point)), point)

/** How wide the web is once it is trimmed, square to the trimmed rim: its inner rim is nowhere touched. */
const webLeft = (rim: Track, inner: Track, taken: readonly number[], web: number): number[] =>
  rim.points.map((point, i) =>
    taken[i]! > 0 ? outsideBy(point, turnRight(rim.tangents[i]!), inner, web - taken[i]!) : web,
  )
