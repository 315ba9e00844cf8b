import { computed, inject, Injectable, signal } from '@angular/core'
import type { ListedPicture, PictureKind, StoredPicture } from '@crescent/core'
import { Store } from '@ngrx/store'
import { firstValueFrom } from 'rxjs'
import type { KeptJpeg } from '../../../../common/kept-jpeg'
import { Tells } from '../../../../common/tells'
import { Api, failureText } from '../../../../state/api'
import { benchFeature } from '../../../../state/bench/bench.feature'

/** A name is one line of so many signs. */
const NAME = 200

/** A new picture: what it shows, and what is marked on it, pixels. */
export interface NewPicture extends KeptJpeg {
  kind: PictureKind
  name: string
  mmPerPixel: number | null
  marks: StoredPicture['marks']
}

/** The foot that a picture shows, at its visit. */
export type KeptFoot = Pick<StoredPicture, 'visitId' | 'side'>

/** Pictures that stay with the visits of the horse on the Bench. */
@Injectable({ providedIn: 'root' })
export class KeptPictures {
  private readonly api = inject(Api)
  private readonly tells = inject(Tells)
  private readonly page = inject(Store).selectSignal(benchFeature.selectPage)
  private readonly side = inject(Store).selectSignal(benchFeature.selectSide)
  private readonly all = signal<{ horse: string; pictures: readonly ListedPicture[] } | undefined>(undefined)

  readonly failure = signal('')
  /** Whether they were read at all. */
  readonly known = computed(() => this.all()?.horse === this.page()?.horse.id)
  /** Of this foot, the oldest first. */
  readonly ofFoot = computed(() => {
    const side = this.side()
    return this.known() ? this.all()!.pictures.filter((one) => one.side === side) : []
  })

  /** The foot on the Bench, at its visit. */
  readonly foot = computed((): KeptFoot | undefined => {
    const visit = this.page()?.visit
    return visit && { visitId: visit.id, side: this.side() }
  })

  async read(): Promise<void> {
    const horse = this.page()?.horse.id
    if (!horse) return
    await this.trying(async () => {
      this.all.set({ horse, pictures: await firstValueFrom(this.api.pictures(horse)) })
    })
  }

  /** One with its file. */
  fetch = (id: string): Promise<StoredPicture | undefined> =>
    this.trying(() => firstValueFrom(this.api.picture(id)))

  /** Stores one, new or changed; nothing where it could not be. What was worked on for a while says of which foot it is. */
  async put(
    picture: NewPicture,
    foot = this.foot(),
    before?: Pick<StoredPicture, 'id' | 'version'>,
  ): Promise<StoredPicture | undefined> {
    if (!foot) return undefined
    const stored = await this.trying(() =>
      firstValueFrom(
        this.api.putPicture({
          ...{ ...picture, ...foot, name: picture.name.slice(0, NAME) },
          ...{ id: before?.id ?? crypto.randomUUID(), version: before?.version ?? 0 },
        }),
      ),
    )
    if (stored) await this.read()
    return stored
  }

  /** Stores one that nobody waits for; that it could not be is said. */
  async putAside(picture: NewPicture, foot: KeptFoot): Promise<void> {
    if (!(await this.put(picture, foot))) await this.tells.warn(`The picture was not kept. ${this.failure()}`)
  }

  /** What is marked on one that is stored, its scale and its kind, as they are now; its file stays. */
  async mark(
    { id, version }: ListedPicture,
    changes: Pick<StoredPicture, 'kind' | 'marks' | 'mmPerPixel'>,
  ): Promise<boolean> {
    const done = await this.trying(async () => {
      const stored = await firstValueFrom(this.api.picture(id))
      return firstValueFrom(this.api.putPicture({ ...stored, ...changes, version }))
    })
    await this.refresh(done)
    return done !== undefined
  }

  /** Takes one out for good. */
  async erase({ id, version }: ListedPicture): Promise<boolean> {
    const done = await this.trying(() => firstValueFrom(this.api.erasePicture(id, version)))
    await this.refresh(done)
    return done !== undefined
  }

  /** Reads the list anew, and keeps saying what went wrong before it. */
  private async refresh(done: unknown): Promise<void> {
    const failure = this.failure()
    await this.read()
    if (done === undefined) this.failure.set(failure)
  }

  private async trying<T>(work: () => Promise<T>): Promise<T | undefined> {
    this.failure.set('')
    try {
      return await work()
    } catch (error) {
      this.failure.set(failureText(error))
      return undefined
    }
  }
}
