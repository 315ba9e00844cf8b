/** What a horse does and where, as far as a size is chosen by it; and how much each thing counts for this farrier. */
export interface SizeUse {
  /** In the words a look is taken in; others lean to nothing. */
  work?: string | undefined
  going?: string | undefined
  living?: string | undefined
  /** Codes of the advice that was accepted for this foot. */
  advice?: readonly string[] | undefined
  weights?: { [K in keyof SizeWeights]?: SizeWeights[K] | undefined } | undefined
}

/** How much counts: what is bent, what stands over or falls short behind, nails that are lost. 1 as it is usual. */
export interface SizeWeights {
  bending: number
  longHeels: number
  shortHeels: number
  nails: number
  /** A shoe that cannot be bent, against one that can: dearer, and of another school. */
  moulded: number
}

/** A reason why something counts more or less here, in words that end a sentence about it. */
interface Leaning {
  applies: (use: SizeUse) => boolean
  weights: Partial<SizeWeights>
  said: string
}

const accepted =
  (...codes: readonly string[]) =>
  ({ advice = [] }: SizeUse): boolean =>
    codes.some((code) => advice.includes(code))

/** Common practice, no source for the amounts: 2 counts twice. */
const LEANINGS: readonly Leaning[] = [
  { applies: ({ work }) => work === 'racing', weights: { longHeels: 3 }, said: 'racing' },
  {
    applies: ({ work }) => work === 'hauling' || work === 'packing' || work === 'endurance',
    weights: { longHeels: 1.8 },
    said: 'hill work',
  },
  { applies: ({ going }) => going === 'mud', weights: { longHeels: 2 }, said: 'mud' },
  { applies: ({ going }) => going === 'rock', weights: { longHeels: 1.5, nails: 1.3 }, said: 'rock' },
  {
    applies: ({ living }) => living === 'in a herd' || living === 'in a muddy herd',
    weights: { longHeels: 1.8 },
    said: 'a herd that steps on it',
  },
  { applies: ({ work }) => work === 'jumping', weights: { shortHeels: 1.6 }, said: 'jumping' },
  {
    applies: ({ work }) => work === 'sliding and turning',
    weights: { shortHeels: 1.4 },
    said: 'sliding and turning',
  },
  {
    applies: accepted('mud-herd-fit', 'lost-shoe'),
    weights: { longHeels: 1.6 },
    said: 'shoes that were lost (advice accepted)',
  },
  {
    applies: accepted('heels-supportive', 'crack-support', 'tendon-support'),
    weights: { shortHeels: 1.6 },
    said: 'support behind (advice accepted)',
  },
  {
    applies: accepted('thin-wall-clips', 'broken-wall-nails', 'separation-nails'),
    weights: { nails: 1.6 },
    said: 'a wall that holds few nails (advice accepted)',
  },
  {
    applies: accepted('polymer-rim'),
    weights: { moulded: 0 },
    said: 'a sole that carries a share (advice accepted)',
  },
]

/** What counts how much for this horse and farrier, and because of what. */
export interface Weighed extends SizeWeights {
  /** What speaks against long heels here, and against short ones. */
  againstLong: string[]
  againstShort: string[]
  /** What makes each hole count more here, and what asks for a shoe that gives. */
  forNails: string[]
  forMoulded: string[]
}

/** Weighs the use of a horse; what a farrier has set stands over what is usual. */
export function weighed(use: SizeUse): Weighed {
  const found = LEANINGS.filter(({ applies }) => applies(use))
  const product = (key: keyof SizeWeights) =>
    use.weights?.[key] ?? found.reduce((all, { weights }) => all * (weights[key] ?? 1), 1)
  const said = (key: keyof SizeWeights, counts: (weight: number) => boolean) =>
    found.filter(({ weights }) => counts(weights[key] ?? 1)).map((one) => one.said)
  const more = (weight: number) => weight > 1
  return {
    bending: product('bending'),
    longHeels: product('longHeels'),
    shortHeels: product('shortHeels'),
    nails: product('nails'),
    moulded: product('moulded'),
    againstLong: said('longHeels', more),
    againstShort: said('shortHeels', more),
    forNails: said('nails', more),
    forMoulded: said('moulded', (weight) => weight < 1),
  }
}
