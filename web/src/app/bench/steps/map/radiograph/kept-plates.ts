import { computed, inject, Injectable, signal } from '@angular/core'
import type { ListedPicture } from '@crescent/core'
import { Store } from '@ngrx/store'
import { firstValueFrom } from 'rxjs'
import { Api, failureText } from '../../../../state/api'
import { benchFeature } from '../../../../state/bench/bench.feature'
import { markedAlike, marksKept, type Plate } from './plate'
import { Radiograph } from './radiograph'

/** A name is one line of so many signs. */
const NAME = 200

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
  /** Whether what lies here is stored as it is marked here. */
  readonly state = computed(() => {
    if (this.keeping()) return 'keeping'
    const [last, plate] = [this.last(), this.radiograph.plate()]
    return last && plate && last.source === plate.source && markedAlike(last, plate) ? 'kept' : ''
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
    const foot = this.radiograph.key()
    await this.trying(async () => {
      const picture = await firstValueFrom(this.api.picture(id))
      // Another foot was chosen meanwhile: it is not that foot's.
      if (this.radiograph.key() !== foot) return
      const bytes = Uint8Array.from(atob(picture.file), (sign) => sign.charCodeAt(0))
      const { version, visitId, mmPerPixel, marks, file } = picture
      const source = { file: new Blob([bytes], { type: 'image/jpeg' }), dicom: false }
      await this.radiograph.open(picture.name, source, {
        points: marks,
        scaleBy: mmPerPixel === null ? undefined : 'kept',
        kept: { id, version, visitId, file, mmPerPixel: mmPerPixel ?? undefined },
      })
      this.last.set(this.radiograph.plate())
    })
  }

  /**
   * Stores what lies here with this visit. One to practise on is not kept, nor what nothing was marked on, nor what is
   * stored as it is: a radiograph of an earlier visit that was only looked at stays where it is.
   */
  async keep(): Promise<void> {
    const [plate, visit, side, foot] = [
      this.radiograph.plate(),
      this.page()?.visit,
      this.side(),
      this.radiograph.key(),
    ]
    if (!plate || !visit || 'seed' in plate.source || Object.keys(plate.points).length === 0) return
    if (this.state() !== '') return
    this.keeping.set(true)
    await this.trying(async () => {
      const packed = await this.packed(plate)
      if (!packed) return
      // Another visit's stays with that visit: what is marked anew now is this one's.
      const before: Plate['kept'] = plate.kept?.visitId === visit.id ? plate.kept : undefined
      const stored = await firstValueFrom(
        this.api.putPicture({
          ...{ id: before?.id ?? crypto.randomUUID(), version: before?.version ?? 0, visitId: visit.id },
          ...{ side, kind: 'radiograph', name: plate.name.slice(0, NAME), ...packed },
          ...marksKept(plate, packed.width),
        }),
      )
      const { id, version, visitId } = stored
      // The foot it was kept of, whichever lies on the Bench by now.
      this.radiograph.change(
        (now) => ({ ...now, kept: { ...now.kept, id, version, visitId, mmPerPixel: now.kept?.mmPerPixel } }),
        foot,
      )
      this.last.set({ ...plate })
      await this.read()
    })
    this.keeping.set(false)
  }

  /** One that came from the store goes back as it was: packed once more it would lose a little each time. */
  private async packed(plate: Plate): Promise<{ file: string; width: number; height: number } | undefined> {
    const { kept, opened } = plate
    if (kept?.file !== undefined) return { file: kept.file, width: opened.width, height: opened.height }
    return this.radiograph.packed()
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
