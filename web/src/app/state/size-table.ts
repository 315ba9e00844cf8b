import { inject, Injectable, signal } from '@angular/core'
import type { Size } from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { Api, failureText } from './api'

/** The farrier's table of factory sizes, as it was last read. */
@Injectable({ providedIn: 'root' })
export class SizeTable {
  private readonly api = inject(Api)
  readonly rows = signal<readonly Size[] | undefined>(undefined)
  readonly failure = signal('')

  /** Reads the table; what was read before stays in view meanwhile. */
  async read(): Promise<void> {
    try {
      this.rows.set(await firstValueFrom(this.api.sizes()))
      this.failure.set('')
    } catch (error) {
      if (this.rows() === undefined) this.failure.set(failureText(error))
    }
  }

  /**
   * Stores one size; the table shows it.
   *
   * @throws what the server answered, where it was refused
   */
  async put(size: Size): Promise<Size> {
    const stored = await firstValueFrom(this.api.putSize(size))
    const others = (this.rows() ?? []).filter(({ id }) => id !== stored.id)
    const all = stored.archived ? others : [...others, stored]
    this.rows.set(all.sort((a, b) => a.range.localeCompare(b.range) || a.length - b.length))
    return stored
  }
}
