import { DOCUMENT, inject, Injectable } from '@angular/core'

/**
 * Knows whether a finger or a mouse button is down. What folds away when a field is left must wait until then: a button
 * that moves between press and release is not pressed.
 */
@Injectable({ providedIn: 'root' })
export class Press {
  private down = false
  private waiting: (() => void)[] = []

  constructor() {
    const document = inject(DOCUMENT)
    document.addEventListener('pointerdown', () => (this.down = true), { capture: true })
    for (const up of ['pointerup', 'pointercancel'])
      // The click comes right after the release: what waits has its turn behind it.
      document.addEventListener(up, () => setTimeout(() => this.release()), { capture: true })
  }

  /** At once, or when what is pressed now has been released. */
  after(act: () => void): void {
    if (this.down) this.waiting.push(act)
    else act()
  }

  private release(): void {
    this.down = false
    for (const act of this.waiting.splice(0)) act()
  }
}
