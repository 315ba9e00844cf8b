import type { Nail } from './nails'

/** Nails as they are counted from the toe: `outer 2, inner 3`. */
export const namedNails = (nails: readonly Pick<Nail, 'branch' | 'number'>[]): string =>
  nails.map(({ branch, number }) => `${branch === 'lateral' ? 'outer' : 'inner'} ${number}`).join(', ')
