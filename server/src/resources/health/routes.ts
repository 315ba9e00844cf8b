import * as z from 'zod'
import type { Route } from '../../http/route'

export const healthRoutes: Route[] = [
  {
    method: 'get',
    path: '/health',
    summary: 'Whether the server answers and its database can be read; npm run check looks through all of it',
    answer: z.object({ status: z.literal('ok'), uptimeSeconds: z.number() }),
    answers: { 503: 'The database cannot be read' },
    run: ({ practice }) => {
      practice.db.prepare('SELECT count(*) FROM sqlite_master').get()
      return { status: 'ok', uptimeSeconds: Math.round(process.uptime()) }
    },
  },
]
