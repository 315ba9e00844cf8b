import { inject, Injectable, signal } from '@angular/core'
import type { PracticeFacts } from '@crescent/core'
import { Api } from '../state/api'

/** The practice that is open: asked for once, and again after it was changed. */
@Injectable({ providedIn: 'root' })
export class OpenPractice {
  private readonly api = inject(Api)
  private readonly known = signal<PracticeFacts | null>(null)
  /** Null until the server has answered. */
  readonly facts = this.known.asReadonly()

  ask(): void {
    // Without an answer nothing is said of the practice; the screens tell by themselves that the server is away.
    this.api.practice().subscribe({ next: (facts) => this.known.set(facts), error: () => undefined })
  }

  /** Everything on the screen belongs to the practice before: the whole application begins anew. */
  leaveTo(address: string): void {
    location.assign(address)
  }
}
