import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { DIAGNOSES, limitsInWords, NAIL_LIMIT_WORDS, SIDES, VET_NAIL_RULES } from '@crescent/core'
import { DayField } from '../../../../common/day-field'
import { Fold } from '../../../../common/fold'
import { ChoiceRow } from '../choice-row'
import { LookEdits } from './look-edits'
import { WordsField } from './words-field'

/** The vet’s word: what was found, where, by whom and when, and what limits were set. */
@Component({
  selector: 'cr-vet-fold',
  imports: [ChoiceRow, DayField, Fold, WordsField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'through' },
  template: `
    <details class="fold" [crFold]="vet().diagnosis !== 'none'">
      <summary>
        The vet’s word
        <span class="muted">{{ vet().diagnosis }} {{ legs().join(' ') }}</span>
      </summary>
      <cr-choice-row
        label="Diagnosis"
        [choices]="diagnoses"
        [chosen]="[vet().diagnosis]"
        (choose)="edits.setVet('diagnosis', $event ?? 'none')"
      />
      @if (vet().diagnosis !== 'none') {
        <cr-choice-row
          label="In which leg or legs"
          [choices]="sides"
          [chosen]="legs()"
          (tapped)="edits.flipLeg($event)"
        />
      }
      <cr-words-field
        label="Who said so"
        [short]="true"
        [words]="vet().who"
        (typed)="edits.setVet('who', $event)"
      />
      <cr-day-field label="On" [day]="vet().on" [optional]="true" (changed)="edits.setVet('on', $event)" />
      <cr-words-field
        label="In the vet’s words"
        [words]="vet().words"
        (typed)="edits.setVet('words', $event)"
      />
      <cr-words-field label="Limits set" [words]="vet().limits" (typed)="edits.setVet('limits', $event)" />
      @if (read().length > 0) {
        <p class="muted" data-testid="limits-read">
          Held to while nailing: {{ read().join('; ') }}. What else stands here is told wherever the shoe is
          worked on.
        </p>
      }
      <cr-choice-row
        label="Nails, as the vet set it"
        [choices]="rules"
        [chosen]="vet().nails ? [vet().nails!] : []"
        (choose)="edits.setVetNails($event)"
      />
    </details>
  `,
})
export class VetFold {
  protected readonly edits = inject(LookEdits)
  protected readonly vet = computed(() => this.edits.look().vet)
  protected readonly legs = computed(() => this.vet().legs ?? [])
  /** What of the limits in words is understood. */
  protected readonly read = computed(() =>
    limitsInWords(this.vet().limits).flatMap(({ rule }) => (rule === 'words' ? [] : NAIL_LIMIT_WORDS[rule])),
  )
  protected readonly rules = VET_NAIL_RULES
  protected readonly diagnoses = DIAGNOSES
  protected readonly sides = SIDES
}
