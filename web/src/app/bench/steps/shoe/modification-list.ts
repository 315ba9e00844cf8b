import {
  afterNextRender,
  ElementRef,
  Injector,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
} from '@angular/core'
import { MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import {
  describeProblem,
  modification,
  offersBeside,
  withModification,
  withoutModification,
  withValue,
  type ModificationList as Given,
  type Plan,
  type Problem,
} from '@crescent/core'
import { Dialogs } from '../../../common/dialogs'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { FigureField } from '../../figure-field'
import { Worded } from '../../../help/worded'
import { FIELD_AIDS, type FieldAid } from './field-aids'

/** What is made of the bar beside its fit: chosen, with every figure, and what may still be added. */
@Component({
  selector: 'cr-modification-list',
  imports: [FigureField, MatIcon, MatIconButton, OneOf, Worded],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (one of chosen(); track one.kind; let i = $index) {
      <section tabindex="-1" [attr.data-modification]="one.kind" [attr.aria-label]="one.label">
        <header>
          <h3>{{ one.label }}</h3>
          <button mat-icon-button [attr.aria-label]="'Take off ' + one.label" (click)="takeOff(i, one.kind)">
            <mat-icon svgIcon="close" />
          </button>
        </header>
        <p><cr-worded [text]="one.purpose" /></p>
        @if (one.problem; as problem) {
          <p class="problem" role="alert"><mat-icon svgIcon="caution" aria-hidden="true" />{{ problem }}</p>
        }
        @for (field of one.fields; track field.key) {
          @if (field.options; as options) {
            <cr-one-of
              [heading]="field.label"
              [label]="one.label + ', ' + field.label.toLowerCase()"
              [choices]="options"
              [chosen]="field.chosen"
              (choose)="choose(i, field.key, $event, field.name)"
            />
            @if (field.problem) {
              <p class="problem" role="alert">{{ field.problem }}</p>
            }
          } @else {
            <cr-figure-field
              [field]="field.name"
              [label]="field.label"
              [kind]="field.kind"
              [where]="field.where"
              [value]="field.value"
              [assumed]="field.assumed"
              [entry]="entries()[field.name]"
              [problem]="field.problem"
              (figure)="set(i, field.key, $event, field.name)"
              (unread)="unread.emit({ field: field.name, text: $event })"
              (left)="left.emit()"
            />
            @if (field.aid; as aid) {
              <button type="button" class="tap pictures" (click)="readOff(aid, i, field.key)">
                <mat-icon [svgIcon]="aid.icon" aria-hidden="true" />{{ aid.label }}
              </button>
            }
          }
        }
      </section>
    }
    <button type="button" class="tap pictures" [disabled]="!plan()" (click)="pictures.emit()">
      <mat-icon svgIcon="search" aria-hidden="true" />Choose by picture
    </button>
    <div role="group" tabindex="-1" aria-label="Add a modification" data-offers>
      @for (group of groups(); track group.key) {
        <details class="fold" name="offers">
          <summary>{{ group.label }}</summary>
          <div class="offers">
            @for (one of group.offers; track one.kind) {
              <button type="button" [disabled]="one.clash" (click)="add(one.kind)">
                <strong>{{ one.label }}</strong><span>{{ one.clash || one.purpose }}</span>
              </button>
            }
          </div>
        </details>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    section {
      margin-bottom: 10px;
      padding: 2px 10px 6px;
      background: var(--sheet-sunk);
      border-left: 4px solid var(--ember);
    }
    header {
      display: flex;
      align-items: center;
      justify-content: space-between;
    }
    h3 {
      margin: 0;
      font-size: 1rem;
    }
    p {
      margin-bottom: 6px;
      font-size: 0.88rem;
      line-height: 1.25;
      color: var(--ink-soft);
    }
    .problem {
      font-weight: 600;
      color: var(--stop);
    }
    .problem mat-icon {
      width: 16px;
      height: 16px;
      margin-right: 4px;
      vertical-align: -3px;
    }
    .offers {
      display: grid;
      gap: 6px;
      padding-bottom: 8px;
    }
    .pictures {
      display: flex;
      gap: 8px;
      align-items: center;
      justify-content: center;
      width: 100%;
      margin-bottom: 8px;
    }
    cr-one-of {
      padding: 2px 0 8px;
    }
    .offers button {
      display: grid;
      gap: 1px;
      min-height: 44px;
      padding: 6px 10px;
      color: inherit;
      font: inherit;
      text-align: left;
      background: var(--sheet);
      border: 1.5px dashed var(--rule-strong);
      border-radius: 6px;
      cursor: pointer;
    }
    .offers button:disabled {
      color: var(--ink-soft);
      border-style: dotted;
      cursor: default;
    }
    .offers span {
      font-size: 0.85rem;
      line-height: 1.25;
      color: var(--ink-soft);
    }
  `,
})
export class ModificationList {
  readonly modifications = input.required<Given>()
  readonly plan = input<Plan | undefined>()
  readonly problems = input<readonly Problem[]>([])
  /** Texts that could not be read as figures, by field. */
  readonly entries = input<Record<string, string>>({})

  /** A change of the list, to be made to it as it is by then. */
  readonly changed = output<{ edit: (now: Given) => Given; touched: string }>()
  readonly unread = output<{ field: string; text: string }>()
  readonly left = output()
  /** The farrier wants to see what each would look like. */
  readonly pictures = output()

  private readonly text = inject(FigureText)
  private readonly dialogs = inject(Dialogs)
  private readonly injector = inject(Injector)
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement

  protected readonly chosen = computed(() =>
    this.modifications().flatMap((given, i) => {
      const known = modification(given.kind)
      if (!known) return []
      const planned: Record<string, number | string> | undefined = this.plan()?.modifications.find(
        ({ kind }) => kind === given.kind,
      )?.values
      return [
        {
          kind: known.kind,
          label: known.label,
          purpose: known.purpose,
          problem: this.problemAt(`shoe.modifications.${i}.kind`),
          fields: known.fields.map(({ key, label, where, ...field }) => ({
            key,
            label,
            kind: field.options ? ('number' as const) : field.kind,
            where,
            options: field.options?.map((option) => ({ key: option, label: option })),
            chosen: field.options?.find((option) => option === (given[key] ?? planned?.[key])),
            name: `mod.${known.kind}.${key}`,
            value: given[key] as number | undefined,
            assumed: typeof planned?.[key] === 'number' ? planned[key] : undefined,
            problem: this.problemAt(`shoe.modifications.${i}.${key}`),
            aid: FIELD_AIDS.find(({ field }) => field === `mod.${known.kind}.${key}`),
          })),
        },
      ]
    }),
  )

  private readonly madeOf = computed(() => {
    const plan = this.plan()
    if (plan?.moulded) return 'moulded'
    return plan?.iron.size === undefined ? 'bar' : 'size'
  })

  /** What may be added, group by group, and why not where it may not. */
  protected readonly groups = computed(() => offersBeside(this.modifications(), this.madeOf()))

  /** What was pressed is gone: the focus stays at its place, not at the top of the page. */
  private focusOn(selector: string): void {
    afterNextRender(
      () => this.element.querySelector<HTMLElement>(selector)?.focus({ preventScroll: false }),
      {
        injector: this.injector,
      },
    )
  }

  private problemAt(path: string): string | undefined {
    const problem = this.problems().find((one) => one.path === path)
    return problem && describeProblem(problem, this.text.style())
  }

  protected choose(at: number, key: string, option: string, touched: string): void {
    this.set(at, key, option, touched)
    this.left.emit()
  }

  /** A figure that is read off something else is one change of its own. */
  protected async readOff({ ask, field }: FieldAid, at: number, key: string): Promise<void> {
    const side = this.plan()?.foot.side
    const value = side && (await ask(this.dialogs, side))
    if (value === undefined) return
    this.set(at, key, value, field)
    this.left.emit()
  }

  protected add(kind: string): void {
    this.changed.emit({ edit: (now) => withModification(now, kind), touched: `mod.${kind}` })
    this.left.emit()
    this.focusOn(`[data-modification="${kind}"]`)
  }

  protected takeOff(at: number, kind: string): void {
    this.changed.emit({ edit: (now) => withoutModification(now, at), touched: `mod.${kind}` })
    this.left.emit()
    const next = this.modifications()[at + 1]?.kind ?? this.modifications()[at - 1]?.kind
    this.focusOn(next ? `[data-modification="${next}"]` : '[data-offers]')
  }

  protected set(at: number, key: string, value: number | string | undefined, touched: string): void {
    this.changed.emit({ edit: (now) => withValue(now, at, key, value), touched })
  }
}
