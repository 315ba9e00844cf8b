import { NgComponentOutlet } from '@angular/common'
import {
  ChangeDetectionStrategy,
  Component,
  effect,
  input,
  signal,
  type Type,
  untracked,
} from '@angular/core'
import type { Shown } from './bench-step'

/** Parts that are here already: shown again without waiting. */
const here = new WeakMap<Shown, Type<unknown>>()

/** Fetches a part, so that it is there when it is wanted. */
export async function bring(part: Shown): Promise<Type<unknown>> {
  const type = here.get(part) ?? (await part())
  here.set(part, type)
  return type
}

/** A part of the Bench that is fetched when it is first shown. */
@Component({
  selector: 'cr-brought',
  imports: [NgComponentOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (type(); as type) {
      <ng-container *ngComponentOutlet="type" />
    } @else if (lost()) {
      <p role="alert">
        This part of the Bench could not be loaded.
        <button type="button" class="tap" (click)="fetch()">Try again</button>
      </p>
    } @else {
      <p role="status">Opening …</p>
    }
  `,
  styles: `
    :host {
      display: contents;
    }
    p {
      padding: 64px 16px 16px;
      color: var(--ink-soft);
      text-align: center;
    }
  `,
})
export class Brought {
  readonly part = input.required<Shown>()
  protected readonly type = signal<Type<unknown> | undefined>(undefined)
  protected readonly lost = signal(false)

  constructor() {
    effect(() => {
      const part = this.part()
      untracked(() => this.show(part))
    })
  }

  protected fetch = (): void => this.show(this.part())

  private show(part: Shown): void {
    this.lost.set(false)
    this.type.set(here.get(part))
    if (this.type()) return
    void bring(part).then(
      (type) => this.part() === part && this.type.set(type),
      () => this.part() === part && this.lost.set(true),
    )
  }
}
