import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { CUPS, levelWords, TWISTS, type Cup, type Twist } from '@crescent/core/anvil'
import { OneOf } from '../../../common/one-of'
import { Trying } from './trying'

const choices = <K extends string>(keys: readonly K[]) => keys.map((key) => ({ key, label: key }))

/** How level the shoe is, sighted along its branches and laid on the anvil, and where to strike. */
@Component({
  selector: 'cr-level-look',
  imports: [OneOf],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <cr-one-of
      label="Twist"
      heading="Sighted from the heels, both ways"
      [choices]="twists"
      [chosen]="trying.anvil().twist"
      (choose)="set({ twist: $event })"
    />
    <cr-one-of
      label="Cup"
      heading="Laid on the anvil’s face"
      [choices]="cups"
      [chosen]="trying.anvil().cup"
      (choose)="set({ cup: $event })"
    />
    @if (words().length > 0) {
      <ul data-testid="level">
        @for (word of words(); track word) {
          <li>{{ word }}</li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 10px;
      padding-bottom: 8px;
    }
    ul {
      margin: 0;
      padding-left: 1.2em;
    }
  `,
})
export class LevelLook {
  protected readonly trying = inject(Trying)
  protected readonly twists = choices<Twist>(TWISTS)
  protected readonly cups = choices<Cup>(CUPS)
  protected readonly words = computed(() => levelWords(this.trying.anvil().twist, this.trying.anvil().cup))

  protected set(change: { twist?: Twist; cup?: Cup }): void {
    this.trying.put(change, 'level')
    this.trying.settle()
  }
}
