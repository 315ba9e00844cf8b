import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'
import { SIDES, type AdviceChoice, type Side, type VisitPage } from '@crescent/core'
import { Fold } from '../common/fold'
import { AgreedTitles } from './agreed-titles'
import { shortDay } from '../common/today'

/** Something that was left, and what it is about; advice is told by its titles, which are fetched for it. */
interface Line {
  what: string
  text: string
  limit?: boolean
  agreed?: readonly AdviceChoice[]
}

/** What was left for this visit: the note for next time, the horse's own notes, what the vet set, what was agreed. */
@Component({
  selector: 'cr-last-time',
  imports: [AgreedTitles, Fold],
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
              <dd>
                @if (line.agreed) {
                  @defer (on immediate) {
                    <cr-agreed-titles [choices]="line.agreed" />
                  }
                } @else {
                  {{ line.text }}
                }
              </dd>
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

  protected readonly lines = computed((): Line[] => {
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
        { what: `${side}, agreed`, text: '', agreed: this.agreed(side) },
      ]),
      { what: 'About the horse', text: horse.notes },
    ].filter(({ text, agreed = [] }: Line) => text.trim() !== '' || agreed.length > 0)
  })

  private agreed = (side: Side): AdviceChoice[] =>
    (this.page().lookBefore?.advice ?? []).filter((one) => one.side === side && one.choice !== 'dismissed')
}
