import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  signal,
} from '@angular/core'
import type { ListedPicture } from '@crescent/core'
import { OneOf } from '../../../../common/one-of'
import { shortDay } from '../../../../common/today'
import { FigureText } from '../../../../drawing/figure-text'
import { laidPictures } from './over'
import { fileOf } from './picture-address'

/** Two pictures of one foot: faded over each other, or side by side, at the same scale where both have one. */
@Component({
  selector: 'cr-pictures-over',
  imports: [OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (two(); as both) {
      <div class="which">
        <label
          >Before
          <select #before class="typed" (change)="belowId.set(before.value)">
            @for (one of pictures(); track one.id) {
              <option [value]="one.id" [selected]="one.id === both.below.id">{{ day(one.date) }}</option>
            }
          </select></label
        >
        <label
          >After
          <select #after class="typed" (change)="aboveId.set(after.value)">
            @for (one of pictures(); track one.id) {
              <option [value]="one.id" [selected]="one.id === both.above.id">{{ day(one.date) }}</option>
            }
          </select></label
        >
        <cr-one-of
          label="How they are compared"
          [choices]="ways"
          [chosen]="way()"
          (choose)="way.set($event)"
        />
      </div>
      @if (way() === 'over') {
        <label class="fade"
          ><span>{{ day(both.below.date) }}</span>
          <input
            #share
            type="range"
            min="0"
            max="1"
            step="0.01"
            aria-label="Fade from before to after"
            [value]="fade()"
            (input)="fade.set(+share.value)"
          /><span>{{ day(both.above.date) }}</span></label
        >
        <svg
          role="img"
          data-testid="laid-over"
          [attr.viewBox]="box()"
          [attr.aria-label]="'Of ' + day(both.below.date) + ', and over it of ' + day(both.above.date)"
        >
          <image
            [attr.href]="file(both.below)"
            [attr.width]="both.below.width"
            [attr.height]="both.below.height"
          />
          <image
            [attr.href]="file(both.above)"
            [attr.width]="both.above.width"
            [attr.height]="both.above.height"
            [attr.transform]="over().transform"
            [style.opacity]="fade()"
          />
        </svg>
      } @else {
        <div class="beside">
          @for (side of beside(); track side.one.id + $index) {
            <figure>
              <svg role="img" [attr.viewBox]="box()" [attr.aria-label]="'Of ' + day(side.one.date)">
                <image
                  [attr.href]="file(side.one)"
                  [attr.width]="side.one.width"
                  [attr.height]="side.one.height"
                  [attr.transform]="side.transform"
                />
              </svg>
              <figcaption>{{ day(side.one.date) }}</figcaption>
            </figure>
          }
        </div>
      }
      <p class="muted" data-testid="over-words">{{ words() }}</p>
    }
  `,
  styles: `
    .which {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: end;
      margin-bottom: 8px;
    }
    .which label {
      display: grid;
      font-size: 0.9rem;
    }
    .which select {
      width: auto;
    }
    svg {
      display: block;
      width: 100%;
      max-height: 56vh;
      background: var(--sheet-sunk);
      border-radius: 6px;
    }
    .fade {
      display: grid;
      grid-template-columns: auto 1fr auto;
      gap: 10px;
      align-items: center;
      font-size: 0.95rem;
    }
    .fade input {
      height: 44px;
      accent-color: var(--ember);
    }
    .beside {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
    }
    figure {
      margin: 0;
    }
    figcaption {
      padding: 4px 0;
      text-align: center;
    }
  `,
})
export class PicturesOver {
  /** Of one foot and one kind, the oldest first, two at least. */
  readonly pictures = input.required<readonly ListedPicture[]>()

  private readonly text = inject(FigureText)
  protected readonly day = shortDay
  protected readonly file = fileOf
  protected readonly ways = [
    { key: 'over' as const, label: 'Faded over each other' },
    { key: 'beside' as const, label: 'Side by side' },
  ]
  protected readonly way = signal<'over' | 'beside'>('over')
  protected readonly fade = signal(0.5)
  protected readonly belowId = linkedSignal(() => this.pictures()[0]?.id)
  protected readonly aboveId = linkedSignal(() => this.pictures().at(-1)?.id)
  protected readonly two = computed(() => {
    const all = this.pictures()
    const find = (id: string | undefined) => all.find((one) => one.id === id)
    const [below, above] = [find(this.belowId()) ?? all[0], find(this.aboveId()) ?? all.at(-1)]
    return below && above ? { below, above } : undefined
  })
  protected readonly over = computed(() => {
    const { below, above } = this.two()!
    return laidPictures(below, above)
  })
  protected readonly box = computed(() => {
    const { below } = this.two()!
    return `0 0 ${below.width} ${below.height}`
  })
  protected readonly beside = computed(() => {
    const { below, above } = this.two()!
    return [
      { one: below, transform: '' },
      { one: above, transform: this.over().transform },
    ]
  })
  protected readonly words = computed(() => {
    const { words, off } = this.over()
    return off === undefined ? words : `${words} They lie ${this.text.fine(off)} apart there on the whole.`
  })
}
