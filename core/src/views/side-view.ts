import { cubic } from '../geometry/cubic'
import type { Vec } from '../geometry/vector'
import { cotangent } from '../units/angle'
import { hoofPastern, type HoofPastern } from '../foot/balance/hoof-pastern'
import type { Foot } from '../foot/measurements'

/** What the side view is drawn from. */
export type SideFigures = Pick<
  Foot,
  | 'length'
  | 'toeAngle'
  | 'heelAngle'
  | 'dorsalLength'
  | 'heelHeight'
  | 'bulbLine'
  | 'pasternAngle'
  | 'palmarAngle'
  | 'plumbBehind'
  | 'tipFromToe'
  | 'soleDepth'
>

/** The foot from its side: x ahead of the buttress, y up from the ground, mm. Lists of points are open. */
export interface SideView {
  toe: Vec
  heel: Vec
  coronetFront: Vec
  coronetBack: Vec
  /** The hairline from front to back. */
  coronet: readonly Vec[]
  /** Outline of the bulb from the hairline down to the ground behind the buttress. */
  bulb: readonly Vec[]
  /** Front of the pastern from the hairline up: measured, or carried on in the line of the wall. */
  pastern: readonly [Vec, Vec]
  pasternKnown: boolean
  axis?: HoofPastern
  /** Where the plumb line behind the cannon meets the ground, x. */
  plumbX?: number
  /** Where the plumb line from the bulbs meets the ground, x. */
  bulbX: number
  /** Underside of the coffin bone from its tip back: only where radiograph figures are known. */
  bone?: readonly [Vec, Vec]
}

const rise = (degrees: number): number => Math.sin((degrees * Math.PI) / 180)
const run = (degrees: number): number => Math.cos((degrees * Math.PI) / 180)

/**
 * Draws the limb's end from its figures: wall down the front, heel at the back, hairline between them, pastern above.
 * What was not measured is drawn in the line of the wall and said to be unknown; bone is drawn only from a radiograph.
 */
export function sideView(foot: SideFigures): SideView {
  const toe: Vec = [foot.length, 0]
  const coronetFront: Vec = [
    foot.length - foot.dorsalLength * run(foot.toeAngle),
    foot.dorsalLength * rise(foot.toeAngle),
  ]
  const coronetBack: Vec = [-foot.heelHeight * cotangent(foot.heelAngle), foot.heelHeight]
  const angle = foot.pasternAngle ?? foot.toeAngle
  const long = foot.dorsalLength * 1.15
  const pasternTop: Vec = [coronetFront[0] - long * run(angle), coronetFront[1] + long * rise(angle)]
  const axis = hoofPastern(foot)
  return {
    toe,
    heel: [0, 0],
    coronetFront,
    coronetBack,
    coronet: hairline(coronetFront, coronetBack),
    bulb: bulb(coronetBack, foot.bulbLine),
    pastern: [coronetFront, pasternTop],
    pasternKnown: foot.pasternAngle !== undefined,
    ...(axis && { axis }),
    ...(foot.plumbBehind !== undefined && { plumbX: -foot.plumbBehind }),
    bulbX: -foot.bulbLine,
    ...boneOf(foot),
  }
}

/** The hairline bows up a little in front and falls to the heel. */
function hairline(front: Vec, back: Vec): Vec[] {
  const drop = front[1] - back[1]
  const across = front[0] - back[0]
  return drawn(
    front,
    [front[0] - across * 0.35, front[1] - drop * 0.12],
    [back[0] + across * 0.3, back[1] + drop * 0.18],
    back,
  )
}

/** From the hairline at the back round the bulb to the buttress. */
function bulb(back: Vec, bulbLine: number): Vec[] {
  const behind = Math.min(-bulbLine, back[0] - 2)
  return drawn(back, [behind - 3, back[1] * 0.75], [behind - 1, back[1] * 0.2], [0, 0])
}

function boneOf(foot: SideFigures): Pick<SideView, 'bone'> {
  if (foot.tipFromToe === undefined || foot.palmarAngle === undefined) return {}
  const tip: Vec = [foot.length - foot.tipFromToe, foot.soleDepth ?? 0]
  if (foot.soleDepth === undefined) return {}
  const long = foot.length * 0.5
  return {
    bone: [tip, [tip[0] - long * run(foot.palmarAngle), tip[1] + long * rise(foot.palmarAngle)]],
  }
}

const drawn = (a: Vec, b: Vec, c: Vec, d: Vec): Vec[] => {
  const curve = cubic(a, b, c, d)
  return Array.from({ length: 17 }, (_, i) => curve.point(i / 16))
}
