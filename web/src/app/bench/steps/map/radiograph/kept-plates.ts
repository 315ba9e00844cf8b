import { computed, inject, Injectable, signal } from '@angular/core'
import type { ListedPicture } from '@crescent/core'
import { Store } from '@ngrx/store'
import { firstValueFrom } from 'rxjs'
import { Api, failureText } from '../../../../state/api'
import { benchFeature } from '../../../../state/bench/bench.feature'
import { marksKept, type Plate } from './plate'
import { Radiograph } from './radiograph'

/** Radiographs that stay with the visits of the horse on the Bench. */
@Injectable({ providedIn: 'root' })
export class KeptPlates {
  private readonly api = inject(Api)
  private readonly store = inject(Store)
  private readonly radiograph = inject(Radiograph)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly all = signal<{ horse: string; pictures: readonly ListedPicture[] } | undefined>(undefined)

  readonly failure = signal('')
  private readonly keeping = signal(false)
  private readonly last = signal<Plate | undefined>(undefined)
  /** Whether what lies here is stored just as it lies here. */
  readonly state = computed(() => {
    if (this.keeping()) return 'keeping'
    return this.last() !== undefined && this.last() === this.radiograph.plate() ? 'kept' : ''
  })
  /** Of this foot, the oldest first. */
  readonly ofFoot = computed(() => {
    const all = this.all()
    if (all?.horse !== this.page()?.horse.id) return []
    return (all?.pictures ?? []).filter(({ kind, side }) => kind === 'radiograph' && side === this.side())
  })

  async read(): Promise<void> {
    const horse = this.page()?.horse.id
    if (!horse) return
    await this.trying(async () => {
      this.all.set({ horse, pictures: await firstValueFrom(this.api.pictures(horse)) })
    })
  }

  /** Opens one that was kept, with everything that was marked on it. */
  async open({ id }: ListedPicture): Promise<void> {
    await this.trying(async () => {
      const picture = await firstValueFrom(this.api.picture(id))
      const bytes = Uint8Array.from(atob(picture.file), (sign) => sign.charCodeAt(0))
      const { version, visitId, mmPerPixel, marks } = picture
      await this.radiograph.open(picture.name, {
        file: new Blob([bytes], { type: 'image/jpeg' }),
        dicom: false,
      })
      this.radiograph.change((plate) => ({
        ...plate,
        points: marks,
        scaleBy: mmPerPixel === null ? undefined : 'kept',
        kept: { id, version, visitId, mmPerPixel: mmPerPixel ?? undefined },
      }))
      this.last.set(this.radiograph.plate())
    })
  }

  /** Stores what lies here with this visit; one to practise on is not kept, nor what nothing was marked on. */
  async keep(): Promise<void> {
    const [plate, visit] = [this.radiograph.plate(), this.page()?.visit]
    if (!plate || !visit || 'seed' in plate.source || Object.keys(plate.points).length === 0) return
    this.keeping.set(true)
    await this.trying(async () => {
      const packed = await this.radiograph.packed()
      if (!packed) return
      const { file, width, height } = packed
      // Another visit's stays with that visit: what is marked anew now is this one's.
      const before: Plate['kept'] = plate.kept?.visitId === visit.id ? plate.kept : undefined
      const stored = await firstValueFrom(
        this.api.putPicture({
          ...{ id: before?.id ?? crypto.randomUUID(), version: before?.version ?? 0, visitId: visit.id },
          ...{ side: this.side(), kind: 'radiograph', name: plate.name, width, height, file },
          ...marksKept(plate, width),
        }),
      )
      const { id, version, visitId } = stored
      this.radiograph.change((now) => ({
        ...now,
        kept: { id, version, visitId, mmPerPixel: now.kept?.mmPerPixel },
      }))
      this.last.set(this.radiograph.plate())
      await this.read()
    })
    this.keeping.set(false)
  }

  private async trying(work: () => Promise<void>): Promise<void> {
    this.failure.set('')
    try {
      await work()
    } catch (error) {
      this.failure.set(failureText(error))
    }
  }
}
