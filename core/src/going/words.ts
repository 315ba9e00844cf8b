import { length, told, type Told } from '../notices/told'
import type { Going } from './going'

/** Sinks and tilts less than these do nothing that a horse would feel: mm, degrees. */
const NOTHING = { sink: 0.3, tilt: 0.1 }

/** What a standing comes to, in sentences, what matters most first. */
export function goingWords(going: Omit<Going, 'plane' | 'inGround' | 'bed'>): Told[] {
  const { sink, tilt, contactShare } = going
  const deepest = Math.max(sink.toe, sink.lateralHeel, sink.medialHeel)
  if (Math.abs(deepest) < NOTHING.sink && Math.hypot(tilt.foreAft, tilt.sideways) < NOTHING.tilt)
    return [
      'This ground does not give: how wide the web is here or there does nothing to how the foot stands.',
      ...onFloor(going),
    ]
  return [
    ...foreAft(going),
    ...sideways(going),
    ...(contactShare < 0.98 && !hasEdges(going)
      ? [`${Math.round(100 - contactShare * 100)} % of the shoe bears nothing.`]
      : []),
    ...(going.soleMeets
      ? [
          told`It lies ${length(going.deepest)} deep, more than it is thick: sole and frog meet the ground as well and carry a share that is not reckoned here, so the foot sinks less.`,
        ]
      : []),
    ...onFloor(going),
  ]
}

/** Bevels, studs and rails leave part of the face clear of the ground as they are meant to. */
const hasEdges = ({ shares }: Pick<Going, 'shares'>): boolean => shares.grip !== undefined

function foreAft({ sink, tilt }: Pick<Going, 'sink' | 'tilt'>): Told[] {
  const heels = (sink.lateralHeel + sink.medialHeel) / 2
  const apart = length(Math.abs(heels - sink.toe))
  if (Math.abs(tilt.foreAft) < NOTHING.tilt) return ['Toe and heels sink alike.']
  const by = `${Math.abs(tilt.foreAft).toFixed(1)}°`
  return tilt.foreAft > 0
    ? [told`The heels sink ${apart} deeper than the toe: the foot tilts back by ${by}.`]
    : [told`The toe sinks ${apart} deeper than the heels: the foot tilts forward by ${by}.`]
}

function sideways({ tilt }: Pick<Going, 'tilt'>): Told[] {
  if (Math.abs(tilt.sideways) < NOTHING.tilt) return []
  const side = tilt.sideways > 0 ? 'outer' : 'inner'
  return [`The ${side} side sinks deeper, by ${Math.abs(tilt.sideways).toFixed(1)}°.`]
}

function onFloor({ onFloor: { foreAft } }: Pick<Going, 'onFloor'>): Told[] {
  if (Math.abs(foreAft) < NOTHING.tilt) return []
  return [
    `What stands out of its ground face tips it ${foreAft < 0 ? 'forward' : 'back'} by ${Math.abs(foreAft).toFixed(1)}° on a hard floor already; what is said here comes on top.`,
  ]
}
