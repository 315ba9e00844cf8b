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

  private async say(words: string, close: string, duration: number): Promise<void> {
    const { MatSnackBar } = await import('@angular/material/snack-bar')
    // The page may be gone by the time there is something to say with.
    if (!this.gone) this.injector.get(MatSnackBar).open(words, close, { duration })
  }
}
