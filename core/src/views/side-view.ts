import { cubic } from '../geometry/cubic'
import { along, distance, mix, type Vec } from '../geometry/vector'
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
  /** Outline of the bulb from the hairline round to the buttress, where it meets the ground as the heel stands. */
  bulb: readonly Vec[]
  /** The limb above the hairline as it usually is against the hoof, for its look only; closed. */
  limb: readonly Vec[]
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
  const coronet = hairline(coronetFront, coronetBack)
  return {
    toe,
    heel: [0, 0],
    coronetFront,
    coronetBack,
    coronet,
    bulb: bulb(coronetBack, foot),
    limb: [...limb(coronetFront, coronetBack, pasternTop, angle), ...[...coronet].reverse()],
    pastern: [coronetFront, pasternTop],
    pasternKnown: foot.pasternAngle !== undefined,
    ...(axis && { axis }),
    ...(foot.plumbBehind !== undefined && { plumbX: -foot.plumbBehind }),
    bulbX: -foot.bulbLine,
    ...boneOf(foot),
  }
}

/** How much the hairline bows up between toe and heel, as a share of its length. */
const BOW = 0.035

/** The hairline falls from the front to the heel in one line, a little bowed. */
function hairline(front: Vec, back: Vec): Vec[] {
  const bow = (front[0] - back[0]) * BOW
  const [a, b] = [mix(front, back, 1 / 3), mix(front, back, 2 / 3)]
  return drawn(front, [a[0], a[1] + bow], [b[0], b[1] + bow], back)
}

/** From the hairline at the back round the bulb, above the ground, to the buttress: there as steep as the heel stands. */
function bulb(back: Vec, { bulbLine, heelAngle, heelHeight }: SideFigures): Vec[] {
  const behind = Math.min(-bulbLine, back[0] - 2)
  const up = heelHeight * 0.45
  return drawn(
    back,
    [behind - heelHeight * 0.12, heelHeight * 0.66],
    [-up * cotangent(heelAngle), up],
    [0, 0],
  )
}

/** How thick the pastern is against the hairline, and how deep it is hollow behind: as it usually looks. */
const PASTERN_THICK = 0.54
const HOLLOW = 0.14

/** From the hairline in front up the pastern, over the fetlock's front and down its hollow back to the bulbs; open. */
function limb(front: Vec, back: Vec, top: Vec, angle: number): Vec[] {
  const long = distance(front, top)
  const thick = distance(front, back) * PASTERN_THICK
  const upward: Vec = [-run(angle), rise(angle)]
  const backward: Vec = [-rise(angle), -run(angle)]
  const at = (from: Vec, up: number, behind: number) => along(along(from, upward, up), backward, behind)
  const topBack = at(top, -long * 0.06, thick * 1.12)
  return [
    ...drawn(front, mix(front, top, 1 / 3), mix(front, top, 2 / 3), top),
    ...drawn(
      topBack,
      at(topBack, -long * 0.38, -thick * HOLLOW * 1.6),
      at(back, long * 0.34, -thick * HOLLOW),
      back,
    ),
  ]
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
