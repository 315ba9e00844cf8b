import * as z from 'zod'
import { refusalSchema } from '@crescent/core/records/index'
import type { DescribedRoute } from './route'

/** How every refusal is answered. */
const refusal = z.toJSONSchema(refusalSchema)

/** Describes every route as OpenAPI 3.1, from the same schemas that guard them. */
export function describeRoutes(routes: readonly DescribedRoute[]): object {
  const paths: Record<string, Record<string, object>> = {}
  for (const route of routes) {
    const path = `/api${route.path.replace(/:(\w+)/g, '{$1}')}`
    const names = [...route.path.matchAll(/:(\w+)/g)].map((match) => match[1]!)
    const text = { type: 'string' }
    paths[path] = {
      ...paths[path],
      [route.method]: {
        summary: route.summary,
        parameters: [
          ...names.map((name) => ({ name, in: 'path', required: true, schema: text })),
          ...Object.entries(route.query ?? {}).map(([name, description]) => ({
            name,
            in: 'query',
            description,
            schema: text,
          })),
        ],
        ...(route.body && {
          requestBody: {
            required: true,
            content: { 'application/json': { schema: z.toJSONSchema(route.body, { io: 'input' }) } },
          },
        }),
        responses: {
          200: {
            description: 'Done',
            content:
              'file' in route.answer
                ? Object.fromEntries([route.answer.file].flat().map((kind) => [kind, {}]))
                : { 'application/json': { schema: z.toJSONSchema(route.answer, { io: 'output' }) } },
          },
          ...Object.fromEntries(
            Object.entries(route.answers ?? {}).map(([status, description]) => [
              status,
              { description, content: { 'application/json': { schema: refusal } } },
            ]),
          ),
        },
      },
    }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Crescent',
      version: '1',
      description:
        'Lengths in mm, angles in degrees from the ground, weights in g. Errors: {errors: [{path, message}]}.',
    },
    paths,
  }
}
