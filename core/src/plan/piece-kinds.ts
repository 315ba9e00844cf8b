import { TEMPLATE_KINDS, type TemplateKind } from '../terms/template-kinds'
import type { Plan } from './plan'

/** What of a shoe can be drawn at true size: the shoe itself, the pieces it has, and the bar it is marked on. */
export function pieceKindsOf({ parts, iron }: Pick<Plan, 'parts' | 'iron'>): TemplateKind[] {
  const pieces = new Set<TemplateKind>(parts.flatMap(({ template }) => (template ? [template.kind] : [])))
  const always: readonly TemplateKind[] =
    iron.size === undefined ? ['sole', 'foot', 'strip'] : ['sole', 'foot']
  return TEMPLATE_KINDS.filter((kind) => pieces.has(kind) || always.includes(kind))
}
