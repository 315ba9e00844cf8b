import { addWhenAsked } from '../geometry/when-asked'
import type { Vec } from '../geometry/vector'
import type { FootInput } from '../records/foot'
import { footFigure, type FootFigureKey, type KnownFigures } from './figures'
import type { Handle } from './handle'
import { readFoot, type Foot } from './measurements'

/** How a handle stands on the sole for any foot. */
interface Stand {
  id: string
  key: FootFigureKey
  label: string
  /** Whether its figure counts across the foot, or back from the toe. */
  across: boolean
  /** Where it stands, counted from the toe: x lateral, y back. */
  place: (foot: Foot) => Vec
  /** Where it waits while its figure, which is never guessed, was not measured. */
  start?: (foot: Foot) => number
}

const valueOf = ({ key, start }: Stand, foot: Foot): number => foot[key] ?? start?.(foot) ?? 0

const ahead = (foot: Foot, y: number): number => foot.widestFromToe - y

/** The handles of the five measurements and the widest part. */
function measures(assumed: readonly FootFigureKey[]): Stand[] {
  // A typed outer half-width stays as it is when the width changes, so the outer handle then moves that figure.
  const outerIsWidth = assumed.includes('lateralHalfWidth')
  const across = (id: string, key: FootFigureKey, label: string, place: Stand['place']): Stand => ({
    id,
    key,
    label,
    across: true,
    place,
  })
  return [
    across(
      'width-outer',
      outerIsWidth ? 'width' : 'lateralHalfWidth',
      outerIsWidth ? 'Width, outer side' : 'Outer half-width',
      (f) => [f.lateralHalfWidth, ahead(f, f.quarterLead / 2)],
    ),
    across('width-inner', 'width', 'Width, inner side', (f) => [
      f.lateralHalfWidth - f.width,
      ahead(f, -f.quarterLead / 2),
    ]),
    across('heel-outer', 'heelWidth', 'Heel width, outer side', (f) => [f.heelWidth / 2, f.length]),
    across('heel-inner', 'heelWidth', 'Heel width, inner side', (f) => [-f.heelWidth / 2, f.length]),
    back('length', 'Length', () => 0),
    { ...back('widestFromToe', 'Widest part', () => 0), id: 'widest' },
  ]
}

/** A handle whose figure counts back along the frog, from the toe or from what is said. */
function back(
  key: FootFigureKey,
  label: string,
  x: (foot: Foot) => number,
  start?: (foot: Foot) => number,
  from: (foot: Foot) => number = () => 0,
): Stand {
  const place = (foot: Foot): Vec => [x(foot), from(foot) + (foot[key] ?? start?.(foot) ?? 0)]
  return { id: key, key, label, across: false, place, ...(start && { start }) }
}

const inner = (foot: Foot): number => foot.lateralHalfWidth - foot.width

/** The handles of frog, bars, wall, bulbs and bone: everything that is seen on the sole beside the outline. */
const LANDMARKS: readonly Stand[] = [
  back('frogApex', 'Frog apex', () => 0),
  back(
    'frogLength',
    'Frog length',
    (f) => -f.frogWidth * 0.3,
    undefined,
    (f) => f.frogApex,
  ),
  {
    id: 'frogWidth',
    key: 'frogWidth',
    label: 'Frog width',
    across: true,
    place: (f) => [f.frogWidth / 2, f.length * 0.9],
  },
  back(
    'barsFromToe',
    'End of bars',
    (f) => -f.width * 0.17,
    (f) => f.widestFromToe,
  ),
  back(
    'arcFromToe',
    'Widest arc',
    (f) => inner(f) * 0.72,
    (f) => f.widestFromToe,
  ),
  back('widestFromToe', 'Widest part', (f) => f.lateralHalfWidth * 0.45),
  back(
    'bulbLine',
    'Bulb line',
    (f) => f.heelWidth * 0.42,
    undefined,
    (f) => f.length,
  ),
  back(
    'tipFromToe',
    'Tip of P3',
    (f) => f.width * 0.16,
    (f) => f.frogApex * 0.5,
  ),
  back(
    'wornBreakover',
    'Old shoe broke over',
    (f) => -f.width * 0.16,
    () => 0,
  ),
  back('toeWallThickness', 'Wall at the toe', () => 0),
  {
    id: 'wallThickness',
    key: 'wallThickness',
    label: 'Wall thickness',
    across: true,
    place: (f) => [f.lateralHalfWidth - f.wallThickness, ahead(f, f.quarterLead / 2)],
  },
  {
    id: 'medialWallThickness',
    key: 'medialWallThickness',
    label: 'Wall at the inner nails',
    across: true,
    place: (f) => [inner(f) + f.medialWallThickness, ahead(f, -f.quarterLead / 2)],
  },
  {
    id: 'heelWallThickness',
    key: 'heelWallThickness',
    label: 'Wall at the heels',
    across: true,
    place: (f) => [f.heelWidth / 2 - f.heelWallThickness, f.length],
  },
]

/** A foot as it was taken, and as it was read. */
interface ReadAs {
  /** As it was given to {@link readFoot}. */
  input: FootInput
  foot: Foot
  assumed: readonly FootFigureKey[]
}

/** Handles of the foot on its sole: of its measures, or of its landmarks. */
export function footHandles(read: ReadAs, what: 'measures' | 'landmarks' = 'measures'): Handle[] {
  const stands = what === 'landmarks' ? LANDMARKS : measures(read.assumed)
  return stands.map((stand) => handleOf(stand, read))
}

function handleOf(stand: Stand, { input, foot }: ReadAs): Handle {
  const { id, key, label, across, place } = stand
  const [x, y] = place(foot)
  const handle: Omit<Handle, 'per'> = {
    id,
    path: `foot.${key}`,
    label,
    kind: 'length',
    value: valueOf(stand, foot),
    range: rangeOf(key, foot),
    point: [x, ahead(foot, y)],
    view: 'sole',
    along: across ? [1, 0] : [0, -1],
    ...(foot[key] === undefined && { unset: true }),
  }
  // Only the handle that is taken hold of needs to know it.
  return addWhenAsked(handle, { per: () => follows(stand, foot, input) })
}

/**
 * By how much the figure changes while its handle is pulled by a millimetre: places follow their figures in straight
 * lines, so two looks are enough. 0 where the figure cannot be changed.
 */
function follows(stand: Stand, foot: Foot, input: FootInput): number {
  const now = valueOf(stand, foot)
  const axis = stand.across ? 0 : 1
  for (const by of [0.5, -0.5]) {
    const read = readFoot({ ...input, [stand.key]: asTaken(stand.key, now + by, input, foot) })
    if (!read.ok) continue
    const moved = stand.place(read.value.foot)[axis] - stand.place(foot)[axis]
    return Math.abs(moved) < 1e-6 ? 0 : (valueOf(stand, read.value.foot) - now) / moved
  }
  return 0
}

/**
 * A figure of the foot as it is taken by hand: handles stand at the outside of the heels; a width that is taken to the
 * middle of the web is a web less.
 */
export function asTaken(
  key: FootFigureKey,
  value: number,
  input: Pick<FootInput, 'heelMeasure' | 'heelWeb'>,
  foot: Pick<Foot, 'heelWeb'> | undefined,
): number {
  if (key !== 'heelWidth' || input.heelMeasure !== 'middle of web') return value
  return value - (input.heelWeb ?? foot?.heelWeb ?? 0)
}

/** A figure's possible range beside the rest of this foot, and beside those that lean on it. */
function rangeOf(key: FootFigureKey, foot: Foot): readonly [number, number] {
  // A foot that was read has every figure that a range asks for.
  const known = foot as KnownFigures
  const [low, high] = footFigure(key).range(known)
  if (key !== 'width') return [low, high]
  // Given figures bound each other both ways: a foot cannot be dragged narrower than its heels.
  const share = (other: 'heelWidth' | 'length') => footFigure(other).range({ ...known, width: 1 })
  const [heels, long] = [share('heelWidth'), share('length')]
  return [
    Math.max(low, foot.heelWidth / heels[1], foot.length / long[1]),
    Math.min(high, foot.heelWidth / heels[0], foot.length / long[0]),
  ]
}
