import type { FootMap, PlaceKey, Plan, Vec } from '@crescent/core'
import type { HelpPicture } from './help-picture'

/** Areas of the sole by the names of their places. */
const places =
  (...keys: PlaceKey[]) =>
  ({ areas }: FootMap) => ({
    areas: areas.filter(({ place }) => keys.includes(place)).map(({ edge }) => edge),
  })

/** A line straight across the sole. */
const across = (half: number, y: number): Vec[] => [
  [-half, y],
  [half, y],
]

/** The foremost point of a line. */
const foremost = (line: readonly Vec[]): Vec => line.reduce((ahead, one) => (one[1] > ahead[1] ? one : ahead))
/** What of a line lies on the outer half. */
const outerHalf = (line: readonly Vec[]): Vec[] => line.filter(([x]) => x >= 0)

const breakover = ({ outline }: Plan): Vec => foremost(outline.outer)

const CREASED = { modifications: [{ kind: 'crease' }] }

/** The picture of each of the trade's words that has one. */
export const WORD_PICTURES: Readonly<Record<string, HelpPicture>> = {
  toe: { view: 'sole', marks: places('toe-wall') },
  'toe-quarter': { view: 'sole', marks: places('outer-toe-quarter', 'inner-toe-quarter') },
  quarter: { view: 'sole', marks: places('outer-quarter', 'inner-quarter') },
  heel: { view: 'sole', marks: places('outer-heel', 'inner-heel') },
  bulb: { view: 'sole', marks: places('bulbs') },
  frog: { view: 'sole', marks: places('frog') },
  sole: { view: 'sole', marks: places('toe-sole', 'outer-sole', 'inner-sole', 'outer-corn', 'inner-corn') },
  buttress: {
    view: 'sole',
    marks: ({ landmarks: { lateralButtress, medialButtress } }) => ({
      lines: [[lateralButtress, medialButtress]],
    }),
  },
  'bulb-line': {
    view: 'side',
    marks: ({ bulbX, coronetBack }) => ({
      lines: [
        [
          [bulbX, 0],
          [bulbX, coronetBack[1] + 12],
        ],
      ],
    }),
  },
  hairline: { view: 'side', marks: ({ coronet }) => ({ lines: [coronet] }) },
  wall: {
    view: 'sole',
    marks: ({ outline, landmarks }) => ({
      areas: [[...outline, ...[...landmarks.whiteLineOuter].reverse()]],
    }),
  },
  'white-line': {
    view: 'sole',
    marks: ({ landmarks: { whiteLineOuter, whiteLineInner } }) => ({
      areas: [[...whiteLineOuter, ...[...whiteLineInner].reverse()]],
    }),
  },
  'sole-plane': {
    view: 'side',
    marks: () => ({ lines: [[[8, 8] as Vec, [116, 8] as Vec]] }),
  },
  bars: { view: 'sole', marks: ({ landmarks }) => ({ lines: landmarks.bars }) },
  apex: { view: 'sole', marks: ({ landmarks }) => ({ spots: [landmarks.frogApex] }) },
  axis: {
    view: 'side',
    marks: ({ toe, coronetFront, pastern }) => ({ lines: [[toe, coronetFront], [...pastern]] }),
  },
  tip: { view: 'side', marks: () => ({ lines: [[[40, 24] as Vec, [102, 16] as Vec]] }) },
  'widest-part': {
    view: 'sole',
    marks: ({ landmarks: { lateralWidest, medialWidest } }) => ({ lines: [[lateralWidest, medialWidest]] }),
  },
  'heel-width': {
    view: 'sole',
    marks: ({ landmarks: { lateralButtress, medialButtress } }) => ({
      lines: [[lateralButtress, medialButtress]],
    }),
  },
  breakover: { view: 'shod', marks: (plan) => ({ lines: [across(30, breakover(plan)[1])] }) },
  'toe-lever': {
    view: 'shod',
    marks: (plan) => ({
      lines: [
        [
          [0, 0],
          [0, breakover(plan)[1]],
        ],
        across(60, 0),
      ],
    }),
  },
  branch: {
    view: 'shod',
    marks: ({ outline }) => ({
      areas: [[...outerHalf(outline.outer), ...outerHalf(outline.inner).reverse()]],
    }),
  },
  web: {
    view: 'cut',
    marks: ({ width }) => ({
      lines: [
        [
          [0, -1.6],
          [width, -1.6],
        ],
      ],
    }),
  },
  'outer-rim': { view: 'shod', marks: ({ outline }) => ({ lines: [outline.outer] }) },
  'inner-rim': { view: 'shod', marks: ({ outline }) => ({ lines: [outline.inner] }) },
  'ground-surface': {
    view: 'cut',
    marks: ({ width }) => ({
      lines: [
        [
          [0, 0],
          [width, 0],
        ],
      ],
    }),
  },
  'foot-surface': {
    view: 'cut',
    marks: ({ width, thickness }) => ({
      lines: [
        [
          [0, thickness],
          [width, thickness],
        ],
      ],
    }),
  },
  coarse: { view: 'nail', hole: 3, inset: 14 },
  fine: { view: 'nail', hole: 3, inset: 4 },
  lean: { view: 'nail', hole: 1 },
  exit: { view: 'nail', hole: 2 },
  prick: { view: 'nail', hole: 2, inset: 17 },
  fit: { view: 'shod', marks: ({ outline }) => ({ lines: [outline.foot] }) },
  spread: {
    view: 'shod',
    marks: ({ outline, landmarks: { lateralButtress: foot } }) => {
      const rim = outline.outer.reduce((near, one) =>
        one[0] > 0 && Math.abs(one[1] - foot[1]) < Math.abs(near[1] - foot[1]) ? one : near,
      )
      return { lines: [[foot, rim]] }
    },
  },
  seating: {
    view: 'cut',
    shoe: { modifications: [{ kind: 'seating-out' }] },
    marks: ({ width, thickness, innerFoot: [over, up] }) => ({
      lines: [
        [
          [width - over, thickness],
          [width, thickness - up],
        ],
      ],
    }),
  },
  boxing: {
    view: 'cut',
    shoe: { modifications: [{ kind: 'boxing' }] },
    marks: ({ thickness, outerFoot: [over, up] }) => ({
      lines: [
        [
          [0, thickness - up],
          [over, thickness],
        ],
      ],
    }),
  },
  safeing: {
    view: 'cut',
    shoe: { modifications: [{ kind: 'safeing' }] },
    marks: ({ width, innerGround: [over, up] }) => ({
      lines: [
        [
          [width - over, 0],
          [width, up],
        ],
      ],
    }),
  },
  crease: {
    view: 'cut',
    shoe: CREASED,
    marks: ({ crease }) => ({ spots: crease ? [[crease.from, crease.depth / 2]] : [] }),
  },
  'toe-mark': {
    view: 'bar',
    marks: ({ branches: { lateral: x } }) => ({
      lines: [
        [
          [x, -16],
          [x, 16],
        ],
      ],
    }),
  },
  'cut-length': {
    view: 'bar',
    marks: ({ cutLength }) => ({
      lines: [
        [
          [0, 15],
          [cutLength, 15],
        ],
      ],
    }),
  },
}
