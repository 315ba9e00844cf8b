import { blended } from '../geometry/blended'
import { nearestStation, placeAt, sliceTrack, track, trackLength } from '../geometry/track'
import {
  add,
  along,
  cross,
  magnitude,
  rotated,
  scale,
  subtract,
  turnRight,
  unit,
  type Vec,
} from '../geometry/vector'
import type { OuterRim } from '../shoe/lay'
import { bevelled, once, stationAt, webMiddle } from './kit'
import { fieldsOf, modificationOf, type ShoeContext, type FiguresOf } from './modification'

/** From its end so much of a trailer is upset at the most, of its straight part; fully over this share of that. */
const UPSET_TO = 0.8
const FULLY = 0.4
/** Where it has hardly a straight part, so much of its length all the same. */
const UPSET_LEAST = 0.5
/** Its web grows by no more than this share of the bar: what is more is spread over a longer way. */
const MOST_WIDER = 0.6

/** It grows inward into no more than this share of the opening between the heels. */
const OF_OPENING = 0.5

/** How much bar can be upset into so long a trailer before it fills the opening between the heels, mm. */
function roomToUpset({ plain: { inner }, section }: ShoeContext, length: number): number {
  const opening = placeAt(inner, 0).point[0] - placeAt(inner, trackLength(inner)).point[0]
  return (((length * UPSET_LEAST * (1 + FULLY)) / 2) * Math.max(0, opening) * OF_OPENING) / section.width
}

/** Upset by more than this share of its length it would be a lump, not a wider end. */
const MOST_UPSET = 0.6
const USUAL_UPSET = 0.29

const fields = fieldsOf([
  {
    key: 'length',
    label: 'Behind the heel seat',
    kind: 'length',
    ofFoot: true,
    where: 'Along the trailer, from the seat of the outer heel to its end.',
    range: () => [15, 60],
    fallback: ({ foot }) => foot.length * 0.22,
  },
  {
    key: 'aim',
    label: 'Points past the middle of the toe by',
    kind: 'length',
    ofFoot: true,
    where:
      'Its line carried forward meets the inner half of the rim: between the middle of the toe and the gap between holes 1 and 2, never past hole 2.',
    range: (context) => [0, Math.floor(innerHoles(context).second)],
    fallback: (context) => innerHoles(context).gap * 0.5,
  },
  {
    key: 'upset',
    label: 'Bar upset into it',
    kind: 'length',
    where: 'Left longer and upset back: shorter and wider, with a sharp inner corner.',
    range: (context, { length }) => [
      0,
      Math.min(25, Number(length) * MOST_UPSET, roomToUpset(context, Number(length))),
    ],
    fallback: (_context, { length }) => Math.min(8, Number(length) * USUAL_UPSET),
  },
])
type Figures = FiguresOf<typeof fields>

/** The middle of the trailer from the heel seat back: a short bend, then straight. */
interface TrailerRun {
  /** Middle of the web at the heel seat, and the way back from it along the branch. */
  seat: Vec
  back: Vec
  /** Of the bend, along the middle of the web. */
  radius: number
}

interface TrailerLine extends TrailerRun {
  /** Radians it is turned outward. */
  turn: number
  /** Radians it is turned less than its aim asks for: too short, or turned as far as a trailer is. */
  falls: number
}

/** Where the bend ends and which way the trailer runs from it. */
function leaving({ seat, back, radius }: TrailerRun, turn: number): { from: Vec; way: Vec } {
  // Going back along the outer branch, outward lies to the left.
  const left: Vec = [-back[1], back[0]]
  const centre = along(seat, left, radius)
  const from = add(centre, rotated(subtract(seat, centre), turn))
  return { from, way: rotated(back, turn) }
}

/**
 * The turn for which the trailer's line, carried forward, runs through a point; what no line through it can do is left at
 * the turn that comes nearest. The line touches the circle of the bend wherever it leaves it: how far it passes the
 * circle's middle, measured across itself, stays the same.
 */
function aimedAt({ seat, back, radius }: TrailerRun, target: Vec): number {
  const centre = along(seat, [-back[1], back[0]], radius)
  const to = subtract(target, centre)
  const passes = cross(subtract(seat, centre), back) / magnitude(to)
  // Of the two lines that pass it so, the one whose target lies before the trailer, not behind it.
  const off = Math.PI - Math.asin(Math.min(1, Math.max(-1, passes)))
  const turn = Math.atan2(to[1], to[0]) - Math.atan2(back[1], back[0]) + off
  return Math.max(0, Math.atan2(Math.sin(turn), Math.cos(turn)))
}

/** A trailer is turned out no further than this, radians. */
const MOST_TURN = 1.2
/** How often a bend that is too long is made sharper: what it is aimed at moves little by it. */
const SHARPER = 4
/** What it may be turned less than asked before it is said, radians. */
const FALLS = 0.02
/** Behind its bend it runs straight for at least this, mm. */
const LEAST_STRAIGHT = 2

/** A point of the inner half of the outer rim, mm along it from the middle of the toe: what the trailer points at. */
const target = ({ plain }: ShoeContext, aim: number): Vec => placeAt(plain.outer, plain.toe + aim).point

/** Where the trailer's line, carried forward, comes as far as its target: the target itself, where it can point at it. */
function ahead(context: ShoeContext, values: Figures): Vec {
  const line = lineOf(context, values)
  const { from, way } = leaving(line, line.turn)
  return along(from, way, -magnitude(subtract(target(context, values.aim), from)))
}

/** Where hole 2 of the inner branch lies along the rim, and the gap before it; mm from the toe. */
function innerHoles({ plainHoles, plain }: ShoeContext): { gap: number; second: number } {
  const bend = plain.medialBend - plain.toe
  // Holes of a laminitic foot stand behind the widest part: the rule speaks of those ahead of it.
  const inner = plainHoles().filter(({ branch, fromToe }) => branch === 'medial' && fromToe < bend)
  const [first = bend * 0.34, second = bend * 0.55] = inner.map(({ fromToe }) => fromToe)
  return { gap: (first + second) / 2, second }
}

const lineOf = once((context: ShoeContext, values: Figures): TrailerLine => {
  const { plain, landmarks, section } = context
  const seatStation = nearestStation(plain.outer, landmarks.lateralButtress)
  const { tangent } = placeAt(plain.outer, seatStation)
  const run = {
    seat: webMiddle({ rims: plain }, seatStation),
    back: [-tangent[0], -tangent[1]] as const,
  }
  const at = target(context, values.aim)
  const wanted = (radius: number) => aimedAt({ ...run, radius }, at)
  // A short one is turned more sharply, at most about its own inner edge, and then less far: it is as long as was asked.
  const room = values.length - LEAST_STRAIGHT
  const may = (radius: number) => Math.min(MOST_TURN, wanted(radius))
  let radius = section.width
  for (let i = 0; i < SHARPER && may(radius) * radius > room; i++)
    radius = Math.max(section.width / 2, room / may(radius))
  const turn = Math.min(may(radius), room / radius)
  return { ...run, radius, turn, falls: wanted(radius) - turn }
})

/** Where the trailer ends, in the middle of the bar before it was upset, and which way it runs. */
function tailOf(context: ShoeContext, values: Figures): { end: Vec; way: Vec } {
  const line = lineOf(context, values)
  const { from, way } = leaving(line, line.turn)
  return { end: along(from, way, values.length - line.radius * line.turn), way }
}

/**
 * How much wider the web is that the upset bar makes, by the way from its end: inward, to a sharp inner corner, by as much
 * steel as came together.
 */
function upsetWeb(context: ShoeContext, values: Figures): (fromHeel: number) => number {
  const { length, upset } = values
  const { radius, turn } = lineOf(context, values)
  const out = Math.max(
    length * UPSET_LEAST,
    Math.min(length * UPSET_TO, length - radius * turn),
    (2 * upset) / ((1 + FULLY) * MOST_WIDER),
  )
  const shape = blended([
    [out * FULLY, 1],
    [out, 0],
  ])
  const grown = growthFor(shape, context, values, out)
  return (fromHeel) => 1 + grown * shape(fromHeel)
}

/** Places that a growth is summed over, and how often it is bettered. */
const SUMMED = 48
const BETTERED = 6
/** Less is nothing that could be upset, mm. */
const LEAST_UPSET = 1e-3

/**
 * By what share of the bar the web grows at the most, so that all of it holds as much steel as was upset: in the bend the
 * inner side, where it grows, runs a longer way.
 */
function growthFor(
  shape: (fromHeel: number) => number,
  context: ShoeContext,
  values: Figures,
  out: number,
): number {
  const { width } = context.section
  const { radius, turn } = lineOf(context, values)
  const outside = radius - width / 2
  const straight = values.length - radius * turn
  /** Area that a growth adds, in bar widths, mm. */
  const added = (most: number): number => {
    let sum = 0
    for (let i = 0; i < SUMMED; i++) {
      const share = (i + 0.5) / SUMMED
      sum += (most * shape(straight * share) * straight) / SUMMED
      const more = most * shape(straight + outside * turn * share) * width
      sum += ((((outside + width) * more + more ** 2 / 2) / width) * turn) / SUMMED
      const rest = Math.max(0, out - straight - outside * turn)
      sum += (most * shape(out - rest * (1 - share)) * rest) / SUMMED
    }
    return sum
  }
  if (values.upset < LEAST_UPSET) return 0
  let most = values.upset / ((out * (1 + FULLY)) / 2)
  for (let i = 0; i < BETTERED; i++) most *= values.upset / added(most)
  return most
}

/** Steps in which its straight end is walked. */
const STRAIGHT_STEPS = 12

/** The outer rim with its outer heel turned out behind the seat, and its inner heel cut square across from that seat. */
function trailedRim(rim: OuterRim, context: ShoeContext, values: Figures): OuterRim {
  const { section } = context
  const line = lineOf(context, values)
  const bend = line.radius * line.turn
  const straight = values.length - bend
  const points: Vec[] = []
  const tangents: Vec[] = []
  const lay = (middle: Vec, way: Vec) => {
    const forward: Vec = [-way[0], -way[1]]
    points.push(along(middle, turnRight(forward), section.width / 2))
    tangents.push(forward)
  }
  const { from, way } = leaving(line, line.turn)
  for (let i = 0; i < STRAIGHT_STEPS; i++) {
    lay(along(from, way, straight * (1 - i / STRAIGHT_STEPS)), way)
  }
  for (let i = 8; i >= 1; i--) {
    const at = leaving(line, (line.turn * i) / 8)
    lay(at.from, at.way)
  }
  const seat = along(line.seat, turnRight(scale(line.back, -1)), section.width / 2)
  const tail = track([...points, seat], [...tangents, unit(scale(line.back, -1))])
  const cut = sliceTrack(rim.track, seatOf(rim, seat), innerCut(rim, seat[1]))
  const joined = track([...tail.points, ...cut.points.slice(1)], [...tail.tangents, ...cut.tangents.slice(1)])
  const moved = (station: number) => station - seatOf(rim, seat) + trackLength(tail)
  return {
    track: joined,
    lateralBend: moved(rim.lateralBend),
    toe: moved(rim.toe),
    medialBend: moved(rim.medialBend),
  }
}

/** Station of the seat on the rim: the first one as far forward as it. */
function seatOf({ track: t }: OuterRim, seat: Vec): number {
  const i = t.points.findIndex(([, y]) => y > seat[1] + 1e-6)
  if (i <= 0) return 0
  const share = (seat[1] - t.points[i - 1]![1]) / (t.points[i]![1] - t.points[i - 1]![1])
  return t.stations[i - 1]! + share * (t.stations[i]! - t.stations[i - 1]!)
}

/** Station on the inner branch where a straight line across from the seat meets its rim. */
function innerCut({ track: t, medialBend }: OuterRim, y: number): number {
  for (let i = 1; i < t.points.length; i++) {
    if (t.stations[i]! <= medialBend || t.points[i]![1] > y) continue
    const before = t.points[i - 1]!
    const share = (before[1] - y) / (before[1] - t.points[i]![1])
    return t.stations[i - 1]! + share * (t.stations[i]! - t.stations[i - 1]!)
  }
  return trackLength(t)
}

/** Lateral trailer: the outer heel turned out behind the buttress. */
export const trailer = modificationOf({
  kind: 'trailer',
  ofBar: true,
  group: 'heels',
  label: 'Lateral trailer',
  purpose: 'The outer heel turned out behind the buttress: steadies a foot that twists or rolls outward.',
  brings: ['trailer', 'long heels'],
  fields,
  excludes: {
    'egg-bar': 'A trailer leaves the heel open; it cannot be closed behind',
    'straight-bar': 'The inner heel is cut off short: there is nothing level to weld a bar to',
    'heart-bar': 'The inner heel is cut off short: there is nothing level to weld a bar to',
  },
  lay: (lay, context, values) => {
    const grown = upsetWeb(context, values)
    return {
      ...lay,
      web: (place) => lay.web(place) * (place.branch === 'lateral' ? grown(place.fromHeel) : 1),
      rework: (rim) => trailedRim(lay.rework(rim), context, values),
    }
  },
  // Boxed: the foot-surface edge bevelled where it stands out.
  rasp: (form, { branch, fromHeel }, _context, values) =>
    branch === 'lateral' && fromHeel < values.length ? bevelled(form, 'outerFoot', 3, 3) : form,
  nails: (plan) => ({
    ...plan,
    lateral: {
      ...plan.lateral,
      holes: Math.min(3, plan.lateral.holes),
      driven: plan.lateral.driven.filter((number) => number <= 3),
      each: plan.lateral.each.filter(({ number }) => number <= 3),
    },
  }),
  handles: (context, values) => {
    const { end, way: back } = tailOf(context, values)
    const aim = target(context, values.aim)
    const way = placeAt(context.plain.outer, context.plain.toe + values.aim).tangent
    return [
      { field: 'length', point: end, along: back },
      { field: 'aim', point: aim, along: way },
    ]
  },
  marks: (context, values) => [
    { label: 'Heel seat', station: nearestStation(context.rims.outer, lineOf(context, values).seat) },
  ],
  guides: (context, values) => [
    { label: 'line of the trailer', line: [tailOf(context, values).end, ahead(context, values)] },
    {
      label: 'inner heel cut',
      line: [webMiddle(context, stationAt(context, 'medial', 1)), lineOf(context, values).seat],
    },
  ],
  forging: () => [
    {
      stage: 'upset',
      moves: 'metal',
      text: 'Leave the outer branch longer; upset its end square, with a sharp inner corner.',
    },
    {
      stage: 'heels',
      moves: 'rim',
      text: 'Turn the outer heel out behind its seat; cut the inner heel square across from it.',
    },
    { stage: 'edges', text: 'Box the trailer and the inner heel.' },
  ],
  tell: (context, values) => {
    const { turn, back } = lineOf(context, values)
    const [x, y] = rotated(back, turn)
    const offAxis = (Math.atan2(x, -y) * 180) / Math.PI
    return [
      `Turned out ${((turn * 180) / Math.PI).toFixed(0)}° from the run of its branch, ${offAxis.toFixed(0)}° off the middle line of the foot.`,
      'The last outer hole is given up, the third kept.',
      'Start from a shoe a size larger: the trailer takes its length from the branch.',
    ]
  },
  cautions: (context, values) => [
    ...(lineOf(context, values).falls > FALLS
      ? [
          {
            code: 'trailer-falls-short',
            severity: 'note' as const,
            title: 'Trailer turned out less than its aim',
            text: 'It is not turned out as far as its line asks for: carried forward, the line meets the rim further out than its aim.',
            action: 'Longer, or in narrower bar; or aim it nearer the middle of the toe.',
          },
        ]
      : []),
    ...(values.aim > innerHoles(context).gap
      ? [
          {
            code: 'trailer-aim',
            severity: 'caution' as const,
            title: 'Trailer turned out far',
            text: 'Its line points past the gap between holes 1 and 2.',
            action: 'Bring it between the middle of the toe and that gap.',
          },
        ]
      : []),
    {
      code: 'trailer-stepped-off',
      severity: 'caution',
      title: 'Trailer behind the heel',
      text: 'Stepped off in mud and in herds, and it twists the foot where the ground holds it.',
      action: 'Hind feet, dry ground. Keep it as short as will do; box its edges.',
    },
  ],
})
