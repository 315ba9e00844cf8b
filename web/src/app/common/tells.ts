import { DestroyRef, EnvironmentInjector, inject, Injectable } from '@angular/core'

/** Says something at the edge of the screen for a while. What it is made of is fetched when there is something to say. */
@Injectable({ providedIn: 'root' })
export class Tells {
  private readonly injector = inject(EnvironmentInjector)
  private gone = false

  constructor() {
    inject(DestroyRef).onDestroy(() => (this.gone = true))
  }

  /** What was done: gone again after some seconds. */
  done = (words: string, ms = 3_000): Promise<void> => this.say(words, '', ms)

  /** What went wrong or needs to be known: stays longer, and can be closed. */
  warn = (words: string, close = 'Close', ms = 12_000): Promise<void> => this.say(words, close, ms)

  /** Said with what is there already. */
  private plainly(words: string, duration: number): void {
    const note = document.createElement('p')
    note.className = 'plain-note'
    note.setAttribute('role', 'alert')
    note.textContent = words
    document.body.append(note)
    setTimeout(() => note.remove(), duration)
  }

  private async say(words: string, close: string, duration: number): Promise<void> {
    try {
      const { MatSnackBar } = await import('@angular/material/snack-bar')
      // The page may be gone by the time there is something to say with.
      if (!this.gone) this.injector.get(MatSnackBar).open(words, close, { duration })
    } catch {
      // What it is said with could not be fetched: the server is away, and just then there is something to say.
      this.plainly(words, duration)
    }
  }
}
