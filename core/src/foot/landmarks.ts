import { cubic } from '../geometry/cubic'
import type { Curve } from '../geometry/curve'
import { parallel } from '../geometry/parallel'
import { path } from '../geometry/path'
import { placeAt, trackLength } from '../geometry/track'
import type { Vec } from '../geometry/vector'
import { addWhenAsked } from '../geometry/when-asked'
import type { Foot } from './measurements'
import type { FootOutline } from './outline'
import { wallThicknessAt } from './wall'

/** What is seen on the sole beside the outline, in the foot's frame, mm. Lists of points are closed unless said. */
export interface Landmarks {
  toe: Vec
  lateralWidest: Vec
  medialWidest: Vec
  lateralButtress: Vec
  medialButtress: Vec
  frogApex: Vec
  /** Line across the bulbs, y. */
  bulbY: number
  /** Outer edge of the white line, open, heel to heel. */
  whiteLineOuter: readonly Vec[]
  /** Inner edge of the white line: inside it everything is alive. Open. */
  whiteLineInner: readonly Vec[]
  /** The frog's edge from its lateral rear corner round the apex to its medial one. */
  frog: readonly Vec[]
  /** The groove down the middle of the frog, open. */
  centralSulcus: readonly Vec[]
  /** The wall folded forward along the frog, one open line each. */
  bars: readonly (readonly Vec[])[]
  /** The bulbs from buttress to buttress, open. */
  bulbs: readonly Vec[]
  /** Tip of the coffin bone, where it is known. */
  tip?: Vec
}

/** Places the landmarks of the sole from the foot's figures; the lines that are only looked at are drawn when they are asked for. */
export function landmarks(foot: Foot, outline: FootOutline): Landmarks {
  const { track } = outline
  const wall = (station: number) => wallThicknessAt(foot, outline, station)
  const at = (station: number) => placeAt(track, station).point
  const toeY = foot.widestFromToe
  const buttressY = toeY - foot.length
  const apexY = toeY - foot.frogApex
  const rearY = apexY - foot.frogLength
  const half = foot.frogWidth / 2
  const lateralButtress = at(0)
  const medialButtress = at(trackLength(track))
  const frogWidestY = Math.min(buttressY + foot.length * 0.1, apexY - foot.frogLength * 0.6)
  const places = {
    toe: at(outline.toe),
    lateralWidest: at(outline.lateralWidest),
    medialWidest: at(outline.medialWidest),
    lateralButtress,
    medialButtress,
    frogApex: [0, apexY] as const,
    bulbY: buttressY - foot.bulbLine,
    ...(foot.tipFromToe === undefined ? {} : { tip: [0, toeY - foot.tipFromToe] as const }),
  }
  return addWhenAsked(places, {
    whiteLineOuter: () => parallel(track, (station) => -wall(station)).points,
    whiteLineInner: () => parallel(track, (station) => -wall(station) - foot.whiteLineWidth).points,
    frog: () => frogEdge(half, apexY, frogWidestY, rearY),
    centralSulcus: (): Vec[] => [
      [0, apexY - foot.frogLength * 0.42],
      [0, rearY + foot.frogLength * 0.05],
    ],
    bars: () => ([1, -1] as const).map((sign) => bar(sign, foot, half, buttressY, apexY, frogWidestY)),
    bulbs: () => bulbs(lateralButtress, medialButtress, buttressY - foot.bulbLine, rearY),
  })
}

/** A long wedge with a blunt apex and slightly hollow sides, round at the rear and cleft in the middle. */
function frogEdge(half: number, apexY: number, widestY: number, rearY: number): Vec[] {
  const long = apexY - rearY
  const shoulderY = widestY + long * 0.09
  const lobeY = rearY + long * 0.12
  const lateral = drawn([
    [0, apexY],
    [half * 0.13, apexY],
    [half * 0.2, apexY - long * 0.04],
    [half * 0.25, apexY - long * 0.1],
    [half * 0.42, apexY - long * 0.31],
    [half * 0.62, shoulderY + long * 0.17],
    [half * 0.88, shoulderY],
    [half * 1.04, shoulderY - long * 0.1],
    [half * 1.03, lobeY + long * 0.08],
    [half * 0.86, lobeY],
    [half * 0.66, rearY - long * 0.05],
    [half * 0.2, rearY - long * 0.02],
    [0, rearY + long * 0.09],
  ])
  return [...lateral.slice().reverse(), ...lateral.slice(1).map(([x, y]): Vec => [-x, y])]
}

/** From the buttress the wall folds forward beside the frog and fades into the sole. */
function bar(sign: number, foot: Foot, half: number, buttressY: number, apexY: number, frogY: number): Vec[] {
  const heel = foot.heelWidth / 2
  const start = heel - foot.heelWallThickness * 1.2
  const beside = Math.max(half * 1.2, heel * 0.52)
  const endY = frogY + (apexY - frogY) * 0.45
  return drawn([
    [sign * start, buttressY + foot.length * 0.012],
    [sign * (start * 0.6 + beside * 0.4), buttressY + foot.length * 0.015],
    [sign * beside, buttressY + foot.length * 0.03],
    [sign * beside, buttressY + foot.length * 0.09],
    [sign * beside, (buttressY + endY) / 2 + foot.length * 0.05],
    [sign * beside * 0.92, endY - foot.length * 0.04],
    [sign * beside * 0.8, endY],
  ])
}

/** Two round bulbs that meet in a cleft behind the frog. */
function bulbs(lateral: Vec, medial: Vec, bulbY: number, rearY: number): Vec[] {
  const cleftY = Math.min(rearY, (lateral[1] + bulbY) / 2)
  const one = ([x, y]: Vec): Vec[] =>
    drawn([
      [x, y],
      [x, y + (bulbY - y) * 0.4],
      [x * 0.86, bulbY],
      [x * 0.54, bulbY],
      [x * 0.26, bulbY],
      [x * 0.03, bulbY + (cleftY - bulbY) * 0.3],
      [0, cleftY],
    ])
  return [...one(lateral), ...one(medial).reverse().slice(1)]
}

/** The points of cubics joined end to end, each sharing its last control point with the next. */
function drawn(controls: readonly Vec[]): Vec[] {
  const pieces: Curve[] = []
  for (let i = 0; i + 3 < controls.length; i += 3) {
    pieces.push(cubic(controls[i]!, controls[i + 1]!, controls[i + 2]!, controls[i + 3]!))
  }
  const whole = path(pieces)
  const steps = 9 * pieces.length
  return Array.from({ length: steps + 1 }, (_, i) => whole.point(i / steps))
}
