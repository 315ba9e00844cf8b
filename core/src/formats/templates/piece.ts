import type { Plan } from '../../plan/plan'
import type { PieceKind } from '../../terms/template-kinds'
import type { Layer } from '../drawing'
import { ring } from './template'

/** The pieces of one kind, each a closed line with what is drilled in it: a layer for the edges, one for the holes. */
export function pieceLayers({ parts }: Plan, kind: PieceKind, name: string): Layer[] {
  const own = parts.flatMap(({ template, edge }) =>
    template?.kind === kind ? [{ edge: template.edge ?? edge, holes: template.holes ?? [] }] : [],
  )
  if (own.length === 0) return []
  const holes = own.flatMap((one) => one.holes)
  return [
    { name, stroke: 'cut', lines: own.map(({ edge }) => ring(edge)) },
    ...(holes.length > 0 ? [{ name: 'Drill', stroke: 'fine' as const, lines: [], holes }] : []),
  ]
}
