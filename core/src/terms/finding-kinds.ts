import type { HoofPart } from './places'

/** A kind of finding: where it can lie, in which grades it comes, and what it means. */
export interface FindingKind {
  key: string
  label: string
  parts: readonly HoofPart[]
  /** Names of the grades from 1 up. */
  grades: readonly string[]
  /** What it is, for who asks. */
  what: string
  /** From this grade on the vet is called before the work goes on. */
  vetFrom?: number
}

const AMOUNT = ['slight', 'clear', 'severe'] as const

/** Everything that can be found on a foot, in the order it is looked for. */
export const FINDING_KINDS = [
  {
    key: 'flare',
    label: 'Flare',
    parts: ['wall'],
    grades: AMOUNT,
    what: 'Wall bending away from the line it should follow.',
  },
  {
    key: 'crack',
    label: 'Crack',
    parts: ['wall'],
    grades: ['in the surface', 'deep', 'bleeding or to the hairline'],
    what: 'A split in the wall; say in the note where it starts.',
    vetFrom: 3,
  },
  {
    key: 'bulge',
    label: 'Bulge at the coronet',
    parts: ['wall'],
    grades: AMOUNT,
    what: 'The hairline pushed up or out: that wall is loaded too much, or something works under it.',
    vetFrom: 3,
  },
  {
    key: 'thin-wall',
    label: 'Thin wall',
    parts: ['wall', 'whole'],
    grades: AMOUNT,
    what: 'Little horn to nail into.',
  },
  {
    key: 'broken-wall',
    label: 'Broken wall',
    parts: ['wall'],
    grades: AMOUNT,
    what: 'Chipped or crumbling horn, old nail holes torn out.',
  },
  {
    key: 'resected-wall',
    label: 'Wall taken away',
    parts: ['wall'],
    grades: ['small', 'large'],
    what: 'Wall removed by or for the vet.',
    vetFrom: 1,
  },
  {
    key: 'stretched-line',
    label: 'Stretched white line',
    parts: ['wall'],
    grades: AMOUNT,
    what: 'The white line wider than it should be.',
    vetFrom: 3,
  },
  {
    key: 'separation',
    label: 'Separation',
    parts: ['wall'],
    grades: AMOUNT,
    what: 'Wall parted from the sole at the white line.',
    vetFrom: 2,
  },
  {
    key: 'bruise',
    label: 'Bruise',
    parts: ['sole', 'frog'],
    grades: AMOUNT,
    what: 'Blood in the horn of sole or frog.',
    vetFrom: 3,
  },
  {
    key: 'track',
    label: 'Abscess or track',
    parts: ['wall', 'sole', 'frog'],
    grades: ['old and dry', 'fresh', 'running'],
    what: 'A dark track or pus.',
    vetFrom: 2,
  },
  {
    key: 'puncture',
    label: 'Puncture',
    parts: ['sole', 'frog'],
    grades: ['to be seen'],
    what: 'A wound from something trodden on. Leave what sticks in it for the vet.',
    vetFrom: 1,
  },
  {
    key: 'thin-sole',
    label: 'Thin sole',
    parts: ['sole'],
    grades: ['firm', 'gives to the thumb', 'bulges'],
    what: 'Little sole under the bone.',
    vetFrom: 3,
  },
  {
    key: 'flat-sole',
    label: 'Flat sole',
    parts: ['sole', 'whole'],
    grades: AMOUNT,
    what: 'No cup to the sole: it may touch the shoe.',
  },
  {
    key: 'pain',
    label: 'Pain to the tester',
    parts: ['wall', 'sole', 'frog', 'whole'],
    grades: ['flinches', 'pulls away', 'lame'],
    what: 'Answers to the hoof tester or is lame.',
    vetFrom: 2,
  },
  {
    key: 'rot',
    label: 'Frog or sole rotten',
    parts: ['frog', 'sole'],
    grades: ['smells', 'soft and black', 'down to the quick'],
    what: 'Black, wet, smelling horn.',
    vetFrom: 3,
  },
  {
    key: 'frog-small',
    label: 'Frog shrunk',
    parts: ['frog'],
    grades: AMOUNT,
    what: 'A narrow frog that bears nothing.',
  },
  {
    key: 'contracted',
    label: 'Contracted heels',
    parts: ['whole'],
    grades: AMOUNT,
    what: 'Heels drawn together, frog narrow between them.',
  },
  {
    key: 'run-forward',
    label: 'Heels run forward',
    parts: ['whole'],
    grades: AMOUNT,
    what: 'Heels low and lying ahead of the limb.',
  },
  {
    key: 'club',
    label: 'Club foot',
    parts: ['whole'],
    grades: ['grade 1', 'grade 2', 'grade 3', 'grade 4'],
    what: 'Upright foot: 1 slightly steeper than its pair, 4 the front past upright.',
    vetFrom: 3,
  },
  {
    key: 'heat',
    label: 'Heat or strong pulse',
    parts: ['whole'],
    grades: ['warm', 'hot'],
    what: 'Warmer than its pair, or the pulse at the pastern pounds.',
    vetFrom: 1,
  },
  {
    key: 'rings',
    label: 'Rings spreading at the heel',
    parts: ['whole'],
    grades: AMOUNT,
    what: 'Growth rings wider at the heel than at the toe: think of founder.',
    vetFrom: 2,
  },
] as const satisfies readonly FindingKind[]

export type FindingKindKey = (typeof FINDING_KINDS)[number]['key']
export const FINDING_KIND_KEYS = FINDING_KINDS.map(({ key }) => key) as [FindingKindKey, ...FindingKindKey[]]

const BY_KEY = new Map<string, FindingKind>(FINDING_KINDS.map((kind) => [kind.key, kind]))

/** A kind by its key. */
export const findingKind = (key: FindingKindKey): FindingKind => BY_KEY.get(key)!

/** The kinds that can lie in such a part of the foot. */
export const kindsFor = (part: HoofPart): FindingKind[] =>
  FINDING_KINDS.filter((kind) => (kind.parts as readonly HoofPart[]).includes(part))
