import type { Plan } from '../../plan/plan'
import { TEMPLATE_LABELS, type TemplateKind } from '../../terms/template-kinds'
import type { LengthStyle } from '../../units/length'
import { moved, type Drawing } from '../drawing'
import { BARS } from './bars'
import { FOOT } from './foot'
import { FROG } from './frog'
import { PAD } from './pad'
import { PLATE } from './plate'
import { SOLE } from './sole'
import { STRIP } from './strip'
import type { TrueSize } from './template'

/** Everything that is drawn at true size. Another is a file beside these and a line here. */
export const TRUE_SIZES: readonly TrueSize[] = [SOLE, FOOT, PLATE, FROG, PAD, BARS, STRIP]

export const trueSize = (kind: TemplateKind): TrueSize => TRUE_SIZES.find((one) => one.kind === kind)!

/**
 * A template of a planned shoe, as it is seen: from the ground the outside of a left foot lies on the right.
 *
 * @param title said on the sheet: whose shoe it is
 * @returns undefined where the shoe has no such piece
 */
export function templateOf(
  plan: Plan,
  kind: TemplateKind,
  style: LengthStyle,
  title: string,
): Drawing | undefined {
  const { draw, faces, from } = trueSize(kind)
  const layers = draw(plan, style)
  if (layers.length === 0) return undefined
  const right = plan.foot.side.startsWith('L') ? 1 : -1
  const across = from === 'bench' ? 1 : from === 'ground' ? right : -right
  return moved(
    { title: [title, TEMPLATE_LABELS[kind], faces].filter(Boolean).join(', '), layers },
    ([x, y]) => [x * across, y],
  )
}
