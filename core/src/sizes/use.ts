/** What a horse does and where, as far as a size is chosen by it; and how much each thing counts for this farrier. */
export interface SizeUse {
  /** In the words a look is taken in; others lean to nothing. */
  work?: string | undefined
  going?: string | undefined
  living?: string | undefined
  weights?: { [K in keyof SizeWeights]?: SizeWeights[K] | undefined } | undefined
}

/** How much counts: what is bent, what stands over or falls short behind, nails that are lost. 1 as it is usual. */
export interface SizeWeights {
  bending: number
  longHeels: number
  shortHeels: number
  nails: number
}

/** A reason why something counts more or less here, in words that end a sentence about it. */
interface Leaning {
  applies: (use: SizeUse) => boolean
  weights: Partial<SizeWeights>
  said: string
}

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
]

/** What counts how much for this horse and farrier, and because of what. */
export interface Weighed extends SizeWeights {
  /** What speaks against long heels here, and against short ones. */
  againstLong: string[]
  againstShort: string[]
}

/** Weighs the use of a horse; what a farrier has set stands over what is usual. */
export function weighed(use: SizeUse): Weighed {
  const found = LEANINGS.filter(({ applies }) => applies(use))
  const product = (key: keyof SizeWeights) =>
    use.weights?.[key] ?? found.reduce((all, { weights }) => all * (weights[key] ?? 1), 1)
  const against = (key: keyof SizeWeights) =>
    found.filter(({ weights }) => (weights[key] ?? 1) > 1).map(({ said }) => said)
  return {
    bending: product('bending'),
    longHeels: product('longHeels'),
    shortHeels: product('shortHeels'),
    nails: product('nails'),
    againstLong: against('longHeels'),
    againstShort: against('shortHeels'),
  }
}
