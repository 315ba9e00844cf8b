import { effect, inject, Injectable, signal } from '@angular/core'
import { KeptPictures } from '../pictures/kept-pictures'
import { PhotoComingIn, type MarkedPhoto } from './photo-coming-in'
import { PhotoShelf, type ShelvedPhoto } from './photo-shelf'

/** A pull marks at every move of the finger: what it came to is put away once it rests so long, ms. */
const REST = 200

/**
 * The photograph that is worked on, put away in this browser with what is marked on it, until its outline is taken: the
 * page may be reloaded and the dialog closed, and the horse is gone by then.
 */
@Injectable()
export class UnfinishedPhoto {
  private readonly coming = inject(PhotoComingIn)
  private readonly shelf = inject(PhotoShelf)
  private readonly foot = inject(KeptPictures).foot
  private putAway: File | undefined

  /** One of this foot that was begun before and can be gone on with. */
  readonly offered = signal<ShelvedPhoto | undefined>(undefined)

  constructor() {
    effect((onCleanup) => {
      const file = this.coming.file()
      const marked = this.coming.marked()
      if (!file) return
      if (file !== this.putAway) return void this.begin(file, marked)
      const rest = setTimeout(() => void this.shelf.mark(this.coming.object(), marked), REST)
      onCleanup(() => clearTimeout(rest))
    })
  }

  /** Looks for one of what is photographed now. */
  async look(): Promise<void> {
    const found = await this.shelf.read(this.coming.object())
    if (found && sameFoot(found.foot, this.foot()) && !this.coming.file()) this.offered.set(found)
  }

  async goOn(): Promise<void> {
    const found = this.offered()
    if (!found) return
    this.offered.set(undefined)
    this.putAway = found.file
    await this.coming.resume(found.file, found.marked)
  }

  async throwAway(): Promise<void> {
    this.offered.set(undefined)
    this.putAway = undefined
    await this.shelf.clear(this.coming.object())
  }

  private async begin(file: File, marked: MarkedPhoto): Promise<void> {
    this.offered.set(undefined)
    this.putAway = file
    await this.shelf.put(this.coming.object(), { file, marked, foot: this.foot(), at: Date.now() })
  }
}

const sameFoot = (one: ShelvedPhoto['foot'], other: ShelvedPhoto['foot']): boolean =>
  one?.visitId === other?.visitId && one?.side === other?.side
