import type { Foot } from '../../foot/measurements'
import type { FootOutline } from '../../foot/outline'
import { figureAlong } from '../../geometry/figure-along'
import { parallel, rawParallel } from '../../geometry/parallel'
import { nearestStation, placeAt, rightOf, sliceTrack, trackLength, type Track } from '../../geometry/track'
import { turnRight, type Vec } from '../../geometry/vector'
import type { SizeFacts } from '../../records/size'
import type { Half } from '../../terms/half'
import type { Moved } from '../../terms/moulded'
import { soldRim, widthOf } from '../as-sold'
import { branchRun } from '../branch-run'
import type { Fit } from '../fit'
import type { Lay, OuterRim } from '../lay'
import { stationBeside } from '../rims'
import { toCut } from '../to-cut'
import { creaseFrom } from './crease-room'
import { flushPlacement, movedBy, placed } from './placement'
import { outsideBy, trimmedTo } from './trimmed'

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

/** The line the rim should follow goes on so far behind the buttress, as a share of the foot's length. */
const BEYOND = 0.6

/**
 * Lays a shoe that cannot be bent flush with the inner wall, moves it as it is asked for, and trims it to the line of
 * the fit, outside and at the heels, nowhere into its crease.
 */
export function layMoulded(
  facts: SizeFacts,
  { moved = {}, cutOff = {} }: Handled,
  { foot, fit, outline, asWanted }: { foot: Foot; fit: Fit; outline: FootOutline; asWanted: Lay },
): Moulded {
  const beyond = foot.length * BEYOND
  const { run, start } = branchRun(outline.track, {
    ...asWanted,
    heelLength: { lateral: beyond, medial: beyond },
  })
  const wanted = rawParallel(run, (station) => asWanted.reach(station - start))
  const onWanted = (footStation: number) => stationBeside(run, wanted, footStation + start)
  const box = soldRim(facts)
  const toe = placeAt(wanted, onWanted(outline.toe)).point
  const outer = placed(box, movedBy(flushPlacement(box, wanted, toe), moved))
  const room = creaseFrom(facts)
  const inner = parallel(outer, -facts.web)
  const { rim, taken, standsOut } = trimmedTo(outer, wanted, room)
  const web = webLeft(rim, inner, taken, facts.web)

  // How far behind its buttress a place of the rim lies, along the run.
  const behind = (branch: Half, point: Vec) => {
    const onRun = stationBeside(wanted, run, nearestStation(wanted, point)) - start
    return branch === 'lateral' ? -onRun : onRun - trackLength(outline.track)
  }
  const ends = { lateral: rim.points[0]!, medial: rim.points[rim.points.length - 1]! }
  const left = (branch: Half) => behind(branch, ends[branch]) - fit.heelLength
  const heelLeft = { lateral: left('lateral'), medial: left('medial') }
  const heelToCut = {
    lateral: cutOff.lateral ?? toCut(heelLeft.lateral),
    medial: cutOff.medial ?? toCut(heelLeft.medial),
  }

  const long = trackLength(rim)
  const cut = sliceTrack(rim, heelToCut.lateral, long - heelToCut.medial)
  const along = (figures: readonly number[], station: number) =>
    figureAlong(rim.stations, figures, Math.min(long, Math.max(0, station + heelToCut.lateral)))
  const near = (footStation: number) => nearestStation(cut, placeAt(outline.track, footStation).point)
  const laid: OuterRim = {
    track: cut,
    lateralBend: near(outline.lateralWidest),
    toe: near(outline.toe),
    medialBend: near(outline.medialWidest),
  }
  const isKept = (station: number) => station >= heelToCut.lateral && station <= long - heelToCut.medial
  const onFoot = rim.points.map((point) => Math.max(behind('lateral', point), behind('medial', point)) < 0)
  const insideAt = (point: Vec) =>
    -rightOf(placeAt(outline.track, nearestStation(outline.track, point)), point)
  return {
    lay: {
      ...asWanted,
      heelLength: {
        lateral: fit.heelLength + heelLeft.lateral - heelToCut.lateral,
        medial: fit.heelLength + heelLeft.medial - heelToCut.medial,
      },
      rework: () => laid,
      web: ({ branch, fromToe }) => along(web, laid.toe + (branch === 'lateral' ? -fromToe : fromToe)),
    },
    sold: { outer, inner },
    saw: [
      ...sawn(rim, taken, heelToCut),
      ...(['lateral', 'medial'] as const).flatMap((branch) =>
        heelToCut[branch] > 0 ? [acrossHeel(cut, inner, branch)] : [],
      ),
    ],
    deepest: Math.max(0, ...taken.filter((_, i) => isKept(rim.stations[i]!))),
    standsOut: Math.max(0, ...standsOut.filter((_, i) => onFoot[i])),
    insideWall: Math.max(0, ...rim.points.filter((_, i) => onFoot[i]).map(insideAt)),
    widthWanted: widthOf(wanted),
    creaseAt: (station) => room - along(taken, station),
    heelLeft,
    heelToCut,
  }
}

/** How wide the web is once it is trimmed, square to the trimmed rim: its inner rim is nowhere touched. */
const webLeft = (rim: Track, inner: Track, taken: readonly number[], web: number): number[] =>
  rim.points.map((point, i) =>
    taken[i]! > 0 ? outsideBy(point, turnRight(rim.tangents[i]!), inner, web - taken[i]!) : web,
  )

/** Sawn off by more than this it is a line to saw along and not a stroke of the rasp, mm (common practice: a thirty-second of an inch). */
export const SAWN = 0.8

/** The stretches of the trimmed rim where something was taken off, as far as the heels are left on. */
function sawn(rim: Track, taken: readonly number[], cut: Readonly<Record<Half, number>>): Vec[][] {
  const lines: Vec[][] = []
  let line: Vec[] = []
  const end = trackLength(rim) - cut.medial
  rim.points.forEach((point, i) => {
    const station = rim.stations[i]!
    if (taken[i]! > SAWN && station >= cut.lateral && station <= end) line.push(point)
    else if (line.length > 0) {
      lines.push(line)
      line = []
    }
  })
  return [...lines, line].filter(({ length }) => length > 1)
}

/** The saw cut across a heel, square to the rim. */
function acrossHeel(cut: Track, inner: Track, branch: Half): Vec[] {
  const end = placeAt(cut, branch === 'lateral' ? 0 : trackLength(cut)).point
  return [end, placeAt(inner, nearestStation(inner, end)).point]
}
