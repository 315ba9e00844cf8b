import { forgingOrder, fromBar, fromBox, type ForgingStep } from '../modifications/forging'
import type { Cut } from './iron'
import type { MouldedPlan } from './of-moulded'

/** How this shoe is made, step by step: turned from bar, shaped from the box, or, where it cannot be bent, sawn and drilled. */
export function workOrder({ chosen, context, iron, stock }: Cut, moulded?: MouldedPlan): ForgingStep[] {
  const base = moulded
    ? moulded.words.map((text): ForgingStep => ({ stage: 'edges', text }))
    : stock
      ? fromBox(iron)
      : fromBar(iron.branches)
  return forgingOrder(
    chosen.flatMap(({ modification, values }, of) =>
      (modification.forging?.(context, values) ?? []).map((step) => ({ ...step, of })),
    ),
    base,
  )
}
