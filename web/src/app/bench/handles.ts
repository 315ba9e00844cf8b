import { footFigure, type Foot, type FootFigureKey, type Vec } from '@crescent/core'

/** A place on the drawing where a hand would take hold of a figure. */
export interface Handle {
  id: string
  key: FootFigureKey
  label: string
  /** Axis it is drawn along in the foot's frame: 0 across, 1 along the frog. */
  axis: 0 | 1
  /** Where it stands for a foot, counted from the toe: x lateral, y back. */
  place: (foot: Foot) => Vec
  /** Where it waits while its figure, which is never guessed, was not measured. */
  start?: (foot: Foot) => number
}

/** The figure of a handle, or where it waits for one. */
export const handleValue = ({ key, start }: Handle, foot: Foot): number => foot[key] ?? start?.(foot) ?? 0

const back = (foot: Foot, y: number): number => foot.widestFromToe - y

/** The handles of the five measurements and the widest part, for this foot. */
export function footHandles(foot: Foot, assumed: readonly FootFigureKey[]): Handle[] {
  // A typed outer half-width stays as it is when the width changes, so the outer handle then moves that figure.
  const outerIsHalf = assumed.includes('lateralHalfWidth')
  return [
    {
      id: 'width-outer',
      key: outerIsHalf ? 'width' : 'lateralHalfWidth',
      label: outerIsHalf ? 'Width, outer side' : 'Outer half-width',
      axis: 0,
      place: (f) => [f.lateralHalfWidth, back(f, f.quarterLead / 2)],
    },
    {
      id: 'width-inner',
      key: 'width',
      label: 'Width, inner side',
      axis: 0,
      place: (f) => [f.lateralHalfWidth - f.width, back(f, -f.quarterLead / 2)],
    },
    {
      id: 'heel-outer',
      key: 'heelWidth',
      label: 'Heel width, outer side',
      axis: 0,
      place: (f) => [f.heelWidth / 2, f.length],
    },
    {
      id: 'heel-inner',
      key: 'heelWidth',
      label: 'Heel width, inner side',
      axis: 0,
      place: (f) => [-f.heelWidth / 2, f.length],
    },
    { id: 'length', key: 'length', label: 'Length', axis: 1, place: (f) => [0, f.length] },
    { id: 'widest', key: 'widestFromToe', label: 'Widest part', axis: 1, place: (f) => [0, f.widestFromToe] },
  ]
}

/** The handles of frog, bars, wall, bulbs and bone: everything that is seen on the sole beside the outline. */
export function landmarkHandles(): Handle[] {
  const inner = (f: Foot): number => f.lateralHalfWidth - f.width
  const frogWidest = (f: Foot): number => f.length - f.length * 0.1
  const along = (
    key: FootFigureKey,
    label: string,
    x: (f: Foot) => number,
    start?: (f: Foot) => number,
    from: (f: Foot) => number = () => 0,
  ): Handle => {
    const value = (f: Foot) => f[key] ?? start?.(f) ?? 0
    return { id: key, key, label, axis: 1, place: (f) => [x(f), from(f) + value(f)], ...(start && { start }) }
  }
  const wall = (id: FootFigureKey, label: string, place: (f: Foot) => Vec): Handle => ({
    id,
    key: id,
    label,
    axis: 0,
    place,
  })
  return [
    along('frogApex', 'Frog apex', () => 0),
    along(
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
      axis: 0,
      place: (f) => [f.frogWidth / 2, frogWidest(f)],
    },
    along(
      'barsFromToe',
      'End of bars',
      (f) => -f.width * 0.17,
      (f) => f.widestFromToe,
    ),
    along(
      'arcFromToe',
      'Widest arc',
      (f) => inner(f) * 0.72,
      (f) => f.widestFromToe,
    ),
    along('widestFromToe', 'Widest part', (f) => f.lateralHalfWidth * 0.45),
    along(
      'bulbLine',
      'Bulb line',
      (f) => f.heelWidth * 0.42,
      undefined,
      (f) => f.length,
    ),
    along(
      'tipFromToe',
      'Tip of P3',
      (f) => f.width * 0.16,
      (f) => f.frogApex * 0.5,
    ),
    along(
      'wornBreakover',
      'Old shoe broke over',
      (f) => -f.width * 0.16,
      () => 0,
    ),
    {
      id: 'toeWallThickness',
      key: 'toeWallThickness',
      label: 'Wall at the toe',
      axis: 1,
      place: (f) => [0, f.toeWallThickness],
    },
    wall('wallThickness', 'Wall thickness', (f) => [
      f.lateralHalfWidth - f.wallThickness,
      back(f, f.quarterLead / 2),
    ]),
    wall('medialWallThickness', 'Wall at the inner nails', (f) => [
      inner(f) + f.medialWallThickness,
      back(f, -f.quarterLead / 2),
    ]),
    wall('heelWallThickness', 'Wall at the heels', (f) => [f.heelWidth / 2 - f.heelWallThickness, f.length]),
  ]
}

/**
 * The value of a handle's figure that brings it to where the hand is, held within what is possible. Places follow
 * their figures in straight lines, so two looks are enough.
 *
 * @param at the hand in the foot's frame counted from the toe, on the handle's axis, mm
 * @param complete completes a foot with this figure changed; undefined where it cannot be
 */
export function draggedValue(
  handle: Handle,
  foot: Foot,
  at: number,
  complete: (key: FootFigureKey, value: number) => Foot | undefined,
): number | undefined {
  const now = handleValue(handle, foot)
  const step = 0.5
  const moved = complete(handle.key, now + step) ?? complete(handle.key, now - step)
  if (!moved) return undefined
  const slope =
    (handle.place(moved)[handle.axis] - handle.place(foot)[handle.axis]) / (handleValue(handle, moved) - now)
  if (Math.abs(slope) < 1e-6) return undefined
  return heldWithin(handle.key, foot, now + (at - handle.place(foot)[handle.axis]) / slope)
}

/** A value drawn into the figure's possible range beside the rest of this foot, and that of those that lean on it. */
export function heldWithin(key: FootFigureKey, foot: Foot, value: number): number {
  const known = foot as Parameters<ReturnType<typeof footFigure>['range']>[0]
  let [low, high] = footFigure(key).range(known)
  // Given figures bound each other both ways: a foot cannot be dragged narrower than its heels.
  if (key === 'width') {
    const share = footFigure('heelWidth').range({ ...known, width: 1 })
    low = Math.max(low, foot.heelWidth / share[1])
    high = Math.min(high, foot.heelWidth / share[0])
    const long = footFigure('length').range({ ...known, width: 1 })
    low = Math.max(low, foot.length / long[1])
    high = Math.min(high, foot.length / long[0])
  }
  return Math.min(high, Math.max(low, value))
}
