import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatIcon } from '@angular/material/icon'
import { fitChecks, type SeenByEye, type SeenOnFoot } from '@crescent/core/anvil'
import { OneOf } from '../../../common/one-of'
import { FigureText } from '../../../drawing/figure-text'
import { FigureField } from '../../figure-field'
import { Trying } from './trying'

const FIELDS = [
  {
    key: 'roomLateral',
    label: 'Room, outer',
    where: 'From the wall to the rim at the bend of the outer heel.',
  },
  { key: 'roomMedial', label: 'Room, inner', where: 'The same at the inner heel: both alike.' },
  {
    key: 'bulbLateral',
    label: 'Heel to bulb, outer',
    where: 'From the end of the outer heel back to the bulb.',
  },
  { key: 'bulbMedial', label: 'Heel to bulb, inner', where: 'The same at the inner heel.' },
  {
    key: 'toeOff',
    label: 'Toe beside the frog line',
    where: 'How far the middle of the toe lies outside the line of the frog; minus inside.',
  },
] as const

type Held = 'onFoot' | 'nailedOnFoot'

const HELD: readonly { key: Held; label: string }[] = [
  { key: 'onFoot', label: 'Held to the foot' },
  { key: 'nailedOnFoot', label: 'On two nails' },
]

const EYED_ON = { onFoot: 'eyed', nailedOnFoot: 'nailedEyed' } as const

/** What is only seen: right, not right, or not looked at. */
const EYED: readonly { key: SeenByEye; label: string }[] = [
  { key: 'safed', label: 'Inner branch safed' },
  { key: 'clipsFlush', label: 'Clips flush' },
  { key: 'nothingPast', label: 'Nothing past the outline' },
]

/** The shoe on the foot, held or on two nails: what is measured of it, and what is right. */
@Component({
  selector: 'cr-on-foot',
  imports: [FigureField, MatIcon, OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-one-of label="How the shoe is held" [choices]="held" [chosen]="on()" (choose)="on.set($event)" />
    @for (one of fields; track one.key) {
      <cr-figure-field
        [field]="path(one.key)"
        [label]="one.label"
        kind="length"
        [where]="one.where"
        [value]="seen()[one.key]"
        [entry]="trying.entries()[path(one.key)]"
        (figure)="set(one.key, $event)"
        (unread)="trying.keep(path(one.key), $event)"
        (left)="trying.settle()"
      />
    }
    @for (one of eyed; track one.key) {
      <div class="eyed" role="group" [attr.aria-label]="one.label">
        <span>{{ one.label }}</span>
        <button
          type="button"
          class="tap"
          [attr.aria-pressed]="eyes()[one.key] === true"
          (click)="setEye(one.key, true)"
        >
          Yes
        </button>
        <button
          type="button"
          class="tap"
          [attr.aria-pressed]="eyes()[one.key] === false"
          (click)="setEye(one.key, false)"
        >
          No
        </button>
      </div>
    }
    @if (trying.lines(); as lines) {
      <p class="lines" [class.wrong]="!lines.right" data-testid="branch-lines">
        {{ text.told(lines.words) }} <small>One school looks for it.</small>
      </p>
    }
    @if (checks().length > 0) {
      <ul data-testid="checks">
        @for (check of checks(); track check.key) {
          <li [class.wrong]="!check.right">
            <mat-icon
              [svgIcon]="check.right ? 'check' : 'caution'"
              [attr.aria-label]="check.right ? 'right' : 'not right'"
            />
            {{ text.told(check.words) }}
          </li>
        }
      </ul>
    }
  `,
  styles: `
    cr-one-of {
      display: block;
      margin-bottom: 8px;
    }
    .eyed {
      display: grid;
      grid-template-columns: 1fr auto auto;
      gap: 6px;
      align-items: center;
      min-height: 50px;
    }
    .lines {
      margin: 8px 0;
      font-size: 0.92rem;
    }
    small {
      color: var(--ink-soft);
    }
    ul {
      margin: 8px 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 8px;
      align-items: start;
      padding: 6px 0;
      border-bottom: 1px solid var(--rule);
    }
    .wrong {
      font-weight: 650;
      color: var(--stop);
    }
    mat-icon {
      flex: none;
      width: 20px;
      height: 20px;
    }
  `,
})
export class OnFoot {
  protected readonly trying = inject(Trying)
  protected readonly text = inject(FigureText)
  protected readonly fields = FIELDS
  protected readonly eyed = EYED
  protected readonly eyes = computed(() => this.trying.anvil()[EYED_ON[this.on()]] ?? {})
  protected readonly held = HELD
  /** Two nails, then the same again: a shoe shifts while they are driven. */
  protected readonly on = signal<Held>('onFoot')
  protected readonly seen = computed(() => this.trying.anvil()[this.on()] ?? {})
  protected readonly checks = computed(() => {
    const { roomLateral, roomMedial, bulbLateral, bulbMedial, toeOff } = this.seen()
    const both = (lateral: number | undefined, medial: number | undefined) => ({
      ...(lateral !== undefined && { lateral }),
      ...(medial !== undefined && { medial }),
    })
    const seen: SeenOnFoot = {
      room: both(roomLateral, roomMedial),
      toBulb: both(bulbLateral, bulbMedial),
      ...(toeOff !== undefined && { toeOff }),
      ...this.eyes(),
    }
    return fitChecks(seen, this.trying.plan()!.foot)
  })

  /** A second tap takes back what was said. */
  protected setEye(key: SeenByEye, value: boolean): void {
    const { [key]: old, ...rest } = this.eyes()
    this.trying.put({ [EYED_ON[this.on()]]: old === value ? rest : { ...rest, [key]: value } }, key)
    this.trying.settle()
  }

  protected path = (key: string): string => `anvil.${this.name(key)}`
  private name = (key: string): string => (this.on() === 'onFoot' ? key : `nailed.${key}`)

  protected set(key: string, value: number | undefined): void {
    const { [key]: _old, ...rest } = this.seen()
    this.trying.put({ [this.on()]: value === undefined ? rest : { ...rest, [key]: value } }, this.name(key))
  }
}
