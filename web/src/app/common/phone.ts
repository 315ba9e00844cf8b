import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core'

/** A number one tap rings up; what holds no whole number (a house, an exchange) is told as it was typed. */
@Component({
  selector: 'cr-phone',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (link(); as rings) {
      <a [href]="rings">{{ number() }}</a>
    } @else {
      {{ number() }}
    }
  `,
  styles: `
    :host {
      white-space: nowrap;
    }
  `,
})
export class Phone {
  readonly number = input.required<string>()
  protected readonly link = computed(() => dialled(this.number()))
}

/** @returns the address that rings a number up, undefined where what was typed is no number as a telephone takes it */
export function dialled(typed: string): string | undefined {
  const number = typed.trim()
  if (!/^\+?[\d\s()./-]+$/.test(number)) return undefined
  const bare = number.replace(/[^\d+]/g, '')
  return bare.length > 2 ? `tel:${bare}` : undefined
}
