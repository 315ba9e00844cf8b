import { ease } from '../geometry/ease'
import { track } from '../geometry/track'
import { unit, type Vec } from '../geometry/vector'
import { readTrace, type ReadTrace } from '../tracing/read-trace'
import type { Foot } from './measurements'
import { fourPieces, type FootOutline } from './foot-outline'

/** A figure that follows a place smoothly: its value there and how it rises. */
type Follows = (at: number) => readonly [value: number, rise: number]

/** A place of the outline with the direction of travel there. */
interface Moved {
  point: Vec
  way: Vec
}

/**
 * The outline of a traced foot: its spline, drawn out so that it goes exactly through toe, widest places and buttresses as
 * the foot's figures have them. Where the figures are those that were read from it, nothing moves.
 *
 * @param steps on each of its four pieces
 * @throws Error for a trace that {@link readTrace} refuses; readFoot refuses it first
 */
export function tracedOutline(foot: Foot & Required<Pick<Foot, 'trace'>>, steps: number): FootOutline {
  const read = readTrace(foot.trace)
  if (typeof read === 'string') throw new Error(read)
  const { lateralWidest, toe, medialWidest } = read.at
  const stops = [0, lateralWidest, toe, medialWidest, 1]
  const move = drawnOut(read, foot)
  const walked = [move(0)]
  for (let i = 1; i < stops.length; i++)
    for (let j = 1; j <= steps; j++)
      walked.push(move(stops[i - 1]! + ((stops[i]! - stops[i - 1]!) * j) / steps))
  return fourPieces(
    track(
      walked.map(({ point }) => point),
      walked.map(({ way }) => unit(way)),
    ),
    steps,
  )
}

/**
 * The traced curve with its places moved onto the figures, smoothly and without a fold: along the foot and across it by maps
 * that keep the order of all places, the heels in or out by what lies behind the widest part, more the further back.
 */
function drawnOut(read: ReadTrace, foot: Foot): (t: number) => Moved {
  const { curve, base, toeY, buttressY, branches } = read
  const [outer, inner] = branches
  const halves = [foot.lateralHalfWidth, foot.width - foot.lateralHalfWidth] as const
  const across = through(outer.widest, halves[0], inner.widest, halves[1])
  const ahead = through(toeY, foot.widestFromToe, -buttressY, foot.length - foot.widestFromToe)
  const front = Math.max(outer.widestY, inner.widestY)
  const rear = Math.min(outer.widestY, inner.widestY)
  const toHeel = easing(rear, buttressY)
  const toToe = easing(front, toeY)
  const sides = ([1, -1] as const).map((sign, i) => {
    const room = halves[i]! - sign * across(sign * branches[i]!.heel)[0]
    return {
      sign,
      half: halves[i]!,
      lift: (sign * foot.quarterLead) / 2 - ahead(branches[i]!.widestY)[0],
      // A trace that is as wide at its heels as anywhere has no room there to draw in or out.
      pull: room > 1e-6 ? (halves[i]! - foot.heelWidth / 2) / room - 1 : 0,
    }
  })
  return (t) => {
    const [x, drawnY] = curve.point(t)
    const [dx, dy] = curve.derivative(t)
    const y = drawnY - base
    const { sign, half, lift, pull } = sides[x >= 0 ? 0 : 1]!
    const [out, outRise] = across(x)
    const [back, backRise] = toHeel(y)
    const [forward, forwardRise] = toToe(y)
    const [up, upRise] = ahead(y)
    // Behind the widest part what is left to the side grows or shrinks; at the widest place nothing is left.
    const left = sign * half - out
    const most = 1 - back - forward
    const share = out / half
    return {
      point: [sign * half - left * (1 + pull * back), up + lift * most * share * share],
      way: [
        outRise * (1 + pull * back) * dx - left * pull * backRise * dy,
        ((2 * lift * most * share * outRise) / half) * dx +
          (upRise - lift * (backRise + forwardRise) * share * share) * dy,
      ],
    }
  }
}

/** A smooth rising figure through 0, through one given place on the plus side and one on the minus side (both counted from 0). */
function through(plus: number, plusTo: number, minus: number, minusTo: number): Follows {
  const [one, other] = [plusTo / plus, minusTo / minus]
  const bow = (other - one) / (plusTo + minusTo)
  const rise = one * (1 + bow * plus)
  return (at) => {
    const under = 1 + bow * at
    return [(rise * at) / under, rise / (under * under)]
  }
}

/** From 0 at one place to 1 at another, level at both and beyond. */
function easing(from: number, to: number): Follows {
  const span = to - from
  return (at) => {
    const u = (at - from) / span
    return [ease(u), u > 0 && u < 1 ? (6 * u * (1 - u)) / span : 0]
  }
}
