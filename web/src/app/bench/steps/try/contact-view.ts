import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { contactAreas, contactWords, nextMark, type ContactMark } from '@crescent/core/anvil'
import { boxOf, seen, soleView, svgPath } from '../../../drawing/svg-path'
import { Trying } from './trying'

/** What stands on a place in the drawing. */
const SHORT: Record<ContactMark, string> = {
  even: 'even',
  gap: 'gap',
  'chipped wall': 'chip',
  'sole pressure': 'sole',
}

/** What the hot shoe left on the foot: a tap on a place goes round what may be seen there. */
@Component({
  selector: 'cr-contact-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (drawing(); as drawn) {
      <div class="two">
        <svg [attr.viewBox]="drawn.box" role="group" aria-label="Where the hot shoe touched">
          <path class="foot" [attr.d]="drawn.foot" />
          <path class="line" [attr.d]="drawn.whiteLine" />
          <path class="frog" [attr.d]="drawn.frog" />
          @for (area of drawn.areas; track area.key) {
            <path
              class="area"
              role="button"
              tabindex="0"
              [attr.data-mark]="area.mark"
              [attr.data-place]="area.key"
              [attr.aria-label]="area.label + ': ' + (area.mark ?? 'not looked at')"
              [attr.d]="area.d"
              (click)="tap(area.key)"
              (keydown.enter)="tap(area.key)"
              (keydown.space)="$event.preventDefault(); tap(area.key)"
            />
            @if (area.mark) {
              <text text-anchor="middle" dy="2.2" [attr.transform]="area.at">{{ area.short }}</text>
            }
          }
        </svg>
        <div class="words">
          <p class="muted">
            Tap a place: even and brown, a bright gap, a chip of wall missing, brown on the sole; once more
            and nothing.
          </p>
          @if (words().length > 0) {
            <ul data-testid="contacts">
              @for (word of words(); track word) {
                <li>{{ word }}</li>
              }
            </ul>
          } @else if (marked() > 0) {
            <p>Even where it was looked at.</p>
          }
          <div class="acts">
            <button type="button" class="tap" (click)="rest()">The rest is even</button>
            <button type="button" class="tap" [disabled]="marked() === 0" (click)="set({})">Clear</button>
          </div>
        </div>
      </div>
    } @else {
      <p class="note">Measure the foot, and the shoe lies here to be tapped.</p>
    }
  `,
  styleUrls: ['../shoe/views.scss', '../two.scss'],
  styles: `
    .words {
      align-self: center;
    }
    .words ul {
      padding-left: 1.2em;
    }
    .acts {
      display: flex;
      gap: 8px;
    }
    .area {
      cursor: pointer;
      outline: none;
      fill: color-mix(in srgb, var(--steel) 45%, transparent);
      stroke: var(--ink);
      stroke-width: 0.6;
    }
    .area:focus-visible {
      stroke: var(--ember);
      stroke-width: 2;
    }
    .area[data-mark='even'] {
      fill: color-mix(in srgb, var(--ink) 45%, var(--sole));
    }
    .area[data-mark='gap'] {
      fill: var(--sheet);
      stroke-dasharray: 3 2;
    }
    .area[data-mark='chipped wall'] {
      fill: var(--caution-wash);
      stroke: var(--caution);
    }
    .area[data-mark='sole pressure'] {
      fill: var(--stop-wash);
      stroke: var(--stop);
      stroke-width: 1.2;
    }
    text {
      font-size: 6.4px;
      font-weight: 700;
      pointer-events: none;
      fill: var(--ink);
      paint-order: stroke;
      stroke: var(--sheet);
      stroke-width: 1.4px;
    }
  `,
})
export class ContactView {
  protected readonly trying = inject(Trying)
  private readonly contacts = computed(() => this.trying.anvil().contacts ?? {})
  protected readonly words = computed(() => contactWords(this.contacts()))
  protected readonly marked = computed(() => Object.keys(this.contacts()).length)
  private readonly areas = computed(() => {
    const plan = this.trying.plan()
    return plan ? contactAreas(plan) : []
  })

  protected readonly drawing = computed(() => {
    const plan = this.trying.plan()
    if (!plan) return undefined
    const view = soleView(this.trying.side(), plan.foot.widestFromToe)
    const { outline, landmarks } = plan
    return {
      box: boxOf([...outline.foot, ...outline.body], view, 5),
      foot: svgPath(outline.foot, view, true),
      whiteLine: svgPath(landmarks.whiteLineOuter, view),
      frog: svgPath(landmarks.frog, view, true),
      areas: this.areas().map(({ key, label, edge, middle }) => {
        const mark = this.contacts()[key]
        const [x, y] = seen(middle, view)
        return {
          ...{ key, label, mark, short: mark && SHORT[mark] },
          d: svgPath(edge, view, true),
          at: `translate(${x.toFixed(1)} ${y.toFixed(1)})`,
        }
      }),
    }
  })

  protected tap(key: string): void {
    const { [key]: mark, ...others } = this.contacts()
    const next = nextMark(mark)
    this.set(next ? { ...others, [key]: next } : others)
  }

  protected rest(): void {
    this.set({
      ...Object.fromEntries(this.areas().map(({ key }) => [key, 'even' as const])),
      ...this.contacts(),
    })
  }

  protected set(contacts: Record<string, ContactMark>): void {
    this.trying.put({ contacts }, 'contacts')
    this.trying.settle()
  }
}
