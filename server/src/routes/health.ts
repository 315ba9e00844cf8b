import type { Route } from '../http/route'

export const healthRoutes: Route[] = [
  {
    method: 'get',
    path: '/health',
    summary: 'Whether the server and its database are well',
    answers: { 503: 'The database is damaged' },
    run: ({ practice, response }) => {
      const integrity = practice.db.pragma('integrity_check', { simple: true }) as string
      const well = integrity === 'ok'
      if (!well) response.status(503)
      return { status: well ? 'ok' : 'damaged', integrity, uptimeSeconds: Math.round(process.uptime()) }
    },
  },
]
