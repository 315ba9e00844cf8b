import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { adviceTitle, SIDES, type VisitPage } from '@crescent/core'
import { Fold } from '../common/fold'
import { shortDay } from '../common/today'

/** What was left for this visit: the note for next time, the horse's own notes, what the vet set, what was agreed. */
@Component({
  selector: 'cr-last-time',
  imports: [Fold],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (lines().length > 0) {
      <details class="fold" [crFold]="open()">
        <summary>
          From last time <span class="muted">{{ lines().length }}</span>
        </summary>
        <dl>
          @for (line of lines(); track $index) {
            <div [class.limit]="line.limit">
              <dt>{{ line.what }}</dt>
              <dd>{{ line.text }}</dd>
            </div>
          }
        </dl>
      </details>
    }
  `,
  styles: `
    dl {
      display: grid;
      gap: 6px;
      margin: 0 0 8px;
    }
    div {
      padding-left: 8px;
      border-left: 4px solid var(--rule-strong);
    }
    .limit {
      background: var(--caution-wash);
      border-color: var(--caution);
    }
    dt {
      font-size: 0.82rem;
      color: var(--ink-soft);
    }
    dd {
      margin: 0;
      white-space: pre-line;
    }
  `,
})
export class LastTime {
  readonly page = input.required<VisitPage>()
  /** In sight at once: while the visit is begun. */
  readonly open = input(false)

  protected readonly lines = computed((): { what: string; text: string; limit?: boolean }[] => {
    const { lastVisit, horse, lookBefore } = this.page()
    const vet = lookBefore?.vet
    const day = lastVisit ? shortDay(lastVisit.date) : ''
    const said = vet?.who ? `The vet, ${vet.who}` : 'The vet'
    return [
      { what: `Note of ${day}`, text: lastVisit?.notes ?? '' },
      { what: `${said}: limits`, text: vet?.limits ?? '', limit: true },
      {
        what: said,
        text:
          vet && vet.diagnosis !== 'none'
            ? [[vet.diagnosis, ...(vet.legs ?? [])].join(' '), vet.words].filter(Boolean).join('. ')
            : '',
      },
      ...SIDES.flatMap((side) => [
        { what: `${side}, noted while closing`, text: lastVisit?.closeList?.[side]?.note ?? '' },
        { what: `${side}, agreed`, text: this.agreed(side) },
      ]),
      { what: 'About the horse', text: horse.notes },
    ].filter(({ text }) => text.trim() !== '')
  })

  private agreed(side: (typeof SIDES)[number]): string {
    const agreed = (this.page().lookBefore?.advice ?? []).filter(
      (one) => one.side === side && one.choice !== 'dismissed',
    )
    return agreed.map(({ code, reason }) => reason || adviceTitle(code)).join('; ')
  }
}
