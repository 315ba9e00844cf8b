import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import type { FootFigureKey } from '@crescent/core'
import { MODEL_FOOT, MODEL_SIDE } from '../drawing/model-foot'
import type { HelpPicture } from './help-picture'
import { ModelPicture } from './model-picture'
import { RULES } from './rule-places'

/** The picture of where to lay the rule for a figure of the foot, where there is one. */
export function rulePicture(figure: string): HelpPicture | undefined {
  const place = RULES[figure as FootFigureKey]
  if (!place) return undefined
  const lines = place.lines(MODEL_FOOT, MODEL_SIDE)
  return { view: place.view, marks: () => ({ lines }) }
}

/** A small picture of where to lay the rule for a figure. */
@Component({
  selector: 'cr-rule-picture',
  imports: [ModelPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (picture(); as picture) {
      <cr-model-picture [picture]="picture" />
    }
  `,
})
export class RulePicture {
  readonly figure = input.required<string>()
  protected readonly picture = computed(() => rulePicture(this.figure()))
}
