import { computed, inject, Injectable, signal } from '@angular/core'
import type { ListedPicture } from '@crescent/core'
import type { KeptJpeg } from '../../../../common/kept-jpeg'
import { KeptPictures, type KeptFoot } from '../pictures/kept-pictures'
import { keptName, markedAlike, marksKept, type Plate } from './plate'
import { Radiograph } from './radiograph'

/** Radiographs that stay with the visits of the horse on the Bench. */
@Injectable({ providedIn: 'root' })
export class KeptPlates {
  private readonly pictures = inject(KeptPictures)
  private readonly radiograph = inject(Radiograph)

  readonly failure = this.pictures.failure
  private readonly keeping = signal(false)
  private readonly last = signal<Plate | undefined>(undefined)
  /** Whether what lies here is stored as it is marked here. */
  readonly state = computed(() => {
    if (this.keeping()) return 'keeping'
    const [last, plate] = [this.last(), this.radiograph.plate()]
    return last && plate && last.source === plate.source && markedAlike(last, plate) ? 'kept' : ''
  })
  /** Of this foot, the oldest first. */
  readonly ofFoot = computed(() => this.pictures.ofFoot().filter(({ kind }) => kind === 'radiograph'))

  read = (): Promise<void> => this.pictures.read()

  /** Opens one that was kept, with everything that was marked on it. */
  async open({ id }: ListedPicture): Promise<void> {
    const foot = this.radiograph.key()
    const picture = await this.pictures.fetch(id)
    // Another foot was chosen meanwhile: it is not that foot's.
    if (!picture || this.radiograph.key() !== foot) return
    const bytes = Uint8Array.from(atob(picture.file), (sign) => sign.charCodeAt(0))
    const { version, visitId, mmPerPixel, marks, file } = picture
    const source = { file: new Blob([bytes], { type: 'image/jpeg' }), dicom: false }
    await this.radiograph.open(picture.name, source, {
      points: marks,
      scaleBy: mmPerPixel === null ? undefined : 'kept',
      kept: { id, version, visitId, file, mmPerPixel: mmPerPixel ?? undefined },
    })
    this.last.set(this.radiograph.plate())
  }

  /**
   * Stores what lies here with this visit. One to practise on is not kept, nor what nothing was marked on, nor what is
   * stored as it is: a radiograph of an earlier visit that was only looked at stays where it is.
   */
  async keep(): Promise<void> {
    const [plate, foot] = [this.radiograph.plate(), this.pictures.foot()]
    if (!plate || !foot || 'seed' in plate.source || Object.keys(plate.points).length === 0) return
    if (this.state() !== '') return
    this.keeping.set(true)
    await this.store(plate, foot, this.radiograph.key())
    this.keeping.set(false)
  }

  private async store(plate: Plate, foot: KeptFoot, key: string): Promise<void> {
    const packed = await this.packed(plate)
    if (!packed) return
    // Another visit's stays with that visit: what is marked anew now is this one's.
    const before = plate.kept?.visitId === foot.visitId ? plate.kept : undefined
    const stored = await this.pictures.put(
      { kind: 'radiograph', name: keptName(plate), ...packed, ...marksKept(plate, packed.width) },
      foot,
      before,
    )
    if (!stored) return
    const { id, version, visitId } = stored
    // The foot it was kept of, whichever lies on the Bench by now.
    this.radiograph.change(
      (now) => ({ ...now, kept: { ...now.kept, id, version, visitId, mmPerPixel: now.kept?.mmPerPixel } }),
      key,
    )
    this.last.set({ ...plate })
  }

  /** One that came from the store goes back as it was: packed once more it would lose a little each time. */
  private async packed(plate: Plate): Promise<KeptJpeg | undefined> {
    const { kept, opened } = plate
    if (kept?.file !== undefined) return { file: kept.file, width: opened.width, height: opened.height }
    return this.radiograph.packed()
  }
}
