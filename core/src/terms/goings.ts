import { told, length, type Told } from '../notices/told'

/**
 * Goings a shoe stands in, from hard to soft. How stiff each is is an assumption (no source): chosen so that a trotting
 * horse sinks about as deep as it is seen to; every figure can be overruled.
 */
export const GOINGS = [
  { key: 'rock', label: 'Rock', stiffness: Infinity, edge: 0, where: 'Nothing sinks.' },
  { key: 'road', label: 'Road', stiffness: 20, edge: 0, where: 'Asphalt or concrete: hardly a mark.' },
  {
    key: 'packed track',
    label: 'Packed track',
    stiffness: 0.45,
    edge: 0.3,
    where: told`Dry earth, rolled gravel: ${length(2)} deep at a trot.`,
  },
  {
    key: 'turf',
    label: 'Turf',
    stiffness: 0.1,
    edge: 0.25,
    where: 'Its roots tear along the edges of the shoe: narrow web is held up as well.',
  },
  {
    key: 'sand arena',
    label: 'Sand arena',
    stiffness: 0.06,
    edge: 0,
    where: told`About ${length(15)} deep at a trot.`,
  },
  {
    key: 'deep sand',
    label: 'Deep sand',
    stiffness: 0.022,
    edge: 0,
    where: 'Deeper than the shoe is thick: sole and frog meet it as well.',
  },
  { key: 'mud', label: 'Mud', stiffness: 0.012, edge: 0.04, where: 'Soft and sticky, to the hairline.' },
] as const satisfies readonly { key: string; label: string; stiffness: number; edge: number; where: Told }[]

export type GoingKey = (typeof GOINGS)[number]['key']
export const GOING_KEYS = GOINGS.map(({ key }) => key)

/** How the ground answers: N/mm3 for each millimetre of sink, and N/mm2 along every edge of the shoe. */
export interface Ground {
  /** N of load for a mm2 of bearing and a mm of sink; Infinity where nothing gives. */
  stiffness: number
  /** N for a mm of edge and a mm of sink: what roots and clay hold against being cut. */
  edge: number
}

/** What can be said of how stiff ground is: N/mm3, and N/mm2 at an edge. */
export const GROUND_RANGES = { stiffness: [0.001, 1_000], edge: [0, 50] } as const

/** How soft packing is that sets in the foot, N/mm3 (an assumption, from memory). */
export const PACKING_STIFFNESS = 0.07

/** The ground of a going. */
export function groundOf(key: GoingKey): Ground {
  const { stiffness, edge } = GOINGS.find((one) => one.key === key)!
  return { stiffness, edge }
}

/** The parts of a shoe that share the load, in the order they are told. */
export const BEARING_PARTS = [
  { key: 'toe', label: 'Toe' },
  { key: 'lateralBranch', label: 'Outer branch' },
  { key: 'medialBranch', label: 'Inner branch' },
  { key: 'bar', label: 'Bar behind the heels' },
  { key: 'frogPlate', label: 'Frog plate' },
  { key: 'plate', label: 'Plate' },
  { key: 'grip', label: 'Studs, rails, hard metal' },
  { key: 'packing', label: 'Packing' },
  { key: 'pad', label: 'Pad' },
] as const
export type BearingPart = (typeof BEARING_PARTS)[number]['key']
