import { blended } from '../geometry/blended'
import { halved } from '../geometry/halved'
import { track, trackLength, type Track } from '../geometry/track'
import { rotated, unit, type Vec } from '../geometry/vector'
import { radians } from '../units/angle'
import { thinnerWall } from '../foot/thinner-wall'
import { leastCover, mostUncovered } from '../shoe/cover'
import { perShoe } from './kit'
import { type OuterRim } from '../shoe/lay'
import { fieldsOf, modificationOf } from './modification'
import { toeWebHandles } from './toe-web'

const fields = fieldsOf([
  {
    key: 'toeWeb',
    label: 'Web at the toe',
    kind: 'length',
    where: 'Wide slides more, narrow holds more.',
    range: ({ section, foot }) => [
      section.width * 0.7,
      Math.max(section.width, Math.min(section.width * 1.5, foot.width * 0.32)),
    ],
    fallback: ({ section }) => section.width * 1.1,
  },
  {
    key: 'heelWeb',
    label: 'Web at the heels',
    kind: 'length',
    where: 'Drawn narrow and open.',
    range: ({ section }) => [8, section.width],
    fallback: ({ section }) => Math.max(8, section.width * 0.7),
  },
  {
    key: 'toeThinner',
    label: 'Toe forged thinner by',
    kind: 'length',
    where: 'Slightly thin, no big turn-up.',
    range: ({ section }) => [0, section.thickness * 0.35],
    fallback: ({ section }) => section.thickness * 0.12,
  },
  {
    key: 'turn',
    label: 'Turned to the line of travel',
    kind: 'number',
    where: 'Degrees it is turned under the foot to point where the horse goes; plus turns its toe inward.',
    range: (context) => [-largestTurn(context), largestTurn(context)],
    fallback: () => 0,
  },
])

const turned = (point: Vec, degrees: number): Vec => rotated(point, radians(degrees))

/** Both halves the same: the mean of the rim and its own mirror image, point by point from the toe. */
export function evenRim(rim: OuterRim): OuterRim {
  const { points, tangents } = rim.track
  const last = points.length - 1
  const even: Track = track(
    points.map(([x, y], i): Vec => {
      const [mx, my] = points[last - i]!
      return [(x - mx) / 2, (y + my) / 2]
    }),
    tangents.map(([x, y], i): Vec => {
      const [mx, my] = tangents[last - i]!
      return unit([x + mx, y - my])
    }),
  )
  const toe = trackLength(even) / 2
  const bend = (rim.toe - rim.lateralBend + rim.medialBend - rim.toe) / 2
  return { track: even, toe, lateralBend: toe - bend, medialBend: toe + bend }
}

/** The rim turned about the middle of the foot, degrees; positive turns the toe inward. */
const turnedRim = (rim: OuterRim, degrees: number): OuterRim => ({
  ...rim,
  track: track(
    rim.track.points.map((point) => turned(point, degrees)),
    rim.track.tangents.map((way) => turned(way, degrees)),
  ),
})

/** No slide shoe is turned further, degrees. */
const MOST_TURN = 20

/** The largest turn to either side, degrees, that still covers the foot: what was uncovered before is not held against it. */
export const largestTurn = perShoe(({ outline, foot, plain }) => {
  const even = evenRim({ ...plain, track: plain.outer })
  const least = Math.min(0, leastCover(outline, even.track)) - mostUncovered(thinnerWall(foot))
  const covered = (degrees: number) =>
    leastCover(outline, turnedRim(even, degrees).track) >= least &&
    leastCover(outline, turnedRim(even, -degrees).track) >= least
  return Math.floor(halved(0, MOST_TURN, covered, 8) * 10) / 10
})

/** From the thin toe to the full thickness, by the share of a branch. */
const THICKENS = blended([
  [0.2, 0],
  [0.5, 1],
])

/** Slide shoe for hind feet: wide slick toe or narrow toe with hold, narrow open heels, long branches. */
export const slideShoe = modificationOf({
  kind: 'slide-shoe',
  ofBar: true,
  group: 'branches',
  label: 'Slide shoe',
  purpose:
    'Runs on over the ground: even on both sides, heels narrow and open so that dirt leaves between them.',
  brings: ['long heels', 'sliding'],
  fields,
  excludes: {
    'egg-bar': 'A slide shoe is open behind: dirt must leave between its heels',
    'straight-bar': 'A slide shoe is open behind: dirt must leave between its heels',
    'heart-bar': 'A slide shoe is open behind: dirt must leave between its heels',
    trailer: 'A slide shoe is made even on both sides',
    'lateral-extension': 'A slide shoe is made even on both sides',
    'wide-outer-branch': 'A slide shoe is made even on both sides',
    'wide-toe': 'Both change the web from toe to heel; choose one',
    wedge: 'A wedged slide shoe digs in instead of running',
  },
  warns: { studs: 'What slides and what grips on one shoe turns the joints' },
  lay: (lay, { section }, values) => {
    const web = blended([
      [0, values.toeWeb],
      [0.3, values.toeWeb],
      [0.55, section.width],
      [1, values.heelWeb],
    ])
    return {
      ...lay,
      web: (place) => (lay.web(place) / section.width) * web(place.share),
      rework: (rim) => turnedRim(evenRim(lay.rework(rim)), values.turn),
    }
  },
  rise: ({ share }, _context, values) => -values.toeThinner * (1 - THICKENS(share)),
  handles: (context, values) => {
    const arm = context.foot.widestFromToe + 6
    return [
      ...toeWebHandles(context),
      // At the end of an arm ahead of the toe: a turn to the left swings it to the left.
      {
        field: 'turn',
        point: turned([0, arm], values.turn),
        along: [-1, 0],
        per: 180 / Math.PI / arm,
      },
    ]
  },
  guides: (context, values) => [
    {
      label: 'line of travel',
      line: [
        turned([0, context.foot.widestFromToe + 8], values.turn),
        turned([0, context.landmarks.bulbY - 8], values.turn),
      ],
    },
  ],
  forging: () => [
    { stage: 'upset', text: 'Spread and thin the toe, draw both heels narrow, the same on either side.' },
    { stage: 'edges', text: 'Leave the edges crisp but not cutting.' },
  ],
  tell: (context) => [
    `May be turned by up to ${largestTurn(context).toFixed(1)}° to either side before the foot is uncovered.`,
  ],
  cautions: ({ section, fit, foot }) => [
    ...(section.width < 23
      ? [
          {
            code: 'slide-narrow',
            severity: 'note' as const,
            title: 'Narrow bar for a slide shoe',
            text: '1 x 5/16 is usual.',
            action: 'Take a wider bar.',
          },
        ]
      : []),
    {
      code: 'slide-stepped-on',
      severity: 'caution',
      title: 'Long branches, little hold',
      text:
        fit.heelLength > foot.length * 0.25
          ? 'Branches this long reach under the other foot, which steps on them.'
          : 'The other foot must not be able to step on the branches; on hard or wet ground the horse has no hold.',
      action: 'Watch it walk and turn before it works; shorten the branches if they touch.',
    },
  ],
})
