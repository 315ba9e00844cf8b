import { turningRadius, type NailTurning } from '@crescent/core'
import type { Route } from '../../http/route'

export const nailRoutes: Route[] = [
  {
    method: 'get',
    path: '/nails/turning',
    summary: 'How the nails of this practice turn, from the exit heights that were entered afterwards',
    run: ({ practice }): NailTurning => {
      const seen = practice.patterns.seenNails()
      return { seen: seen.length, turning: turningRadius(seen) ?? null }
    },
  },
]
