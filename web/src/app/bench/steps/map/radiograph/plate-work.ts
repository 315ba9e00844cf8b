import {
  greyShown,
  readDicom,
  windowsOf,
  type DeepPicture,
  type Depths,
  type FileScale,
  type Window,
} from '@crescent/core/dicom'
import { madeUpRadiograph } from '@crescent/core/made-up'
import type { Picture } from '@crescent/core/photographs'
import { keptJpeg, type KeptJpeg } from '../../../../common/kept-jpeg'

/** What is asked of the worker: a file to open, a made-up one to practise on, another window of the one it holds. */
export type PlateAsked =
  | { do: 'open'; file: Blob; dicom: boolean }
  | { do: 'practise'; seed: number }
  | { do: 'show'; window: Window; inverted: boolean }
  | { do: 'keep'; window: Window; inverted: boolean }

/** A radiograph that was opened. */
export interface OpenedPlate {
  ok: true
  width: number
  height: number
  /** As the file wants it shown, where it says so; as it mostly is; and all of it. */
  windows: { file?: Window; usual: Window; whole: Window }
  inverted: boolean
  scale: FileScale
  told: readonly { label: string; text: string }[]
}
/** And as it is first shown: who opened it sees it at once. */
type Seen = OpenedPlate & { picture: ImageBitmap }
export interface PlateAnswers {
  open: Seen | { ok: false; problem: string }
  practise: Seen | { ok: false; problem: string }
  /** Drawn, not packed: nobody has to unpack it. */
  show: { ok: true; picture: ImageBitmap } | { ok: false; problem: string }
  /** In the window it is shown in, packed to be stored. */
  keep: ({ ok: true } & KeptJpeg) | { ok: false; problem: string }
}

/** What is made of a picture's bytes where there is a canvas. */
export interface PlateTools {
  decoded: (file: Blob) => Promise<Picture>
  packed: (rgba: Uint8ClampedArray, width: number, height: number, quality?: number) => Promise<Blob>
  drawn: (rgba: Uint8ClampedArray, width: number, height: number) => Promise<ImageBitmap>
  /** Where the decoders' wasm lies. */
  locate: (file: string) => string
}

/** Wider than this it is not shown: a screen has no more, and its magnifier little. */
const SHOWN = 1600
/** One to practise on is as fine as a hand can tap, and made in a second. */
const PRACTISED = 1000

/** A picture that was made to be looked at is shown as it is. */
const AS_IT_IS: Window = { centre: 127.5, width: 255 }

const damaged = { ok: false as const, problem: 'The picture is damaged: it could not be read to its end.' }

/** Works on one radiograph: opened once, shown in as many windows as are asked for. */
export class PlateWorker {
  private whole: DeepPicture | undefined
  private shown: DeepPicture | undefined

  constructor(private readonly tools: PlateTools) {}

  answer(asked: PlateAsked): Promise<PlateAnswers[PlateAsked['do']]> {
    if (asked.do === 'open') return asked.dicom ? this.openDicom(asked.file) : this.openPicture(asked.file)
    if (asked.do === 'practise') return this.practise(asked.seed)
    if (asked.do === 'keep') return this.keep(asked.window, asked.inverted)
    return this.show(asked.window, asked.inverted)
  }

  private async openDicom(file: Blob): Promise<PlateAnswers['open']> {
    const read = await readDicom(new Uint8Array(await file.arrayBuffer()), this.tools.locate)
    if (!read.ok) return read
    const { picture, window, inverted, scale, told } = read
    return this.opened(picture, { inverted, scale, told, ...(window && { window }) })
  }

  private async openPicture(file: Blob): Promise<PlateAnswers['open']> {
    try {
      return await this.opened(greyOf(await this.tools.decoded(file)), { window: AS_IT_IS })
    } catch {
      return damaged
    }
  }

  /** One that was made up, of figures nobody is told: what is marked is compared with nothing but oneself. */
  private practise(seed: number): Promise<Seen> {
    const { picture, truth } = madeUpRadiograph({ seed, width: PRACTISED })
    const { width, height, data } = picture
    return this.opened(
      { width, height, data: Float32Array.from(data) },
      {
        scale: { by: 'calibrated', mmPerPixel: truth.mmPerPixel },
      },
    )
  }

  private async opened(
    picture: DeepPicture,
    said: Partial<Pick<OpenedPlate, 'inverted' | 'scale' | 'told'>> & { window?: Window } = {},
  ): Promise<Seen> {
    this.whole = picture
    this.shown = reduced(picture)
    const { usual, whole } = windowsOf(this.shown)
    const inverted = said.inverted ?? false
    return {
      ok: true,
      picture: await this.drawn(this.shown, said.window ?? usual, inverted),
      ...{ width: picture.width, height: picture.height, inverted },
      windows: { ...(said.window && { file: said.window }), usual, whole },
      ...{ scale: said.scale ?? { by: 'unsaid' }, told: said.told ?? [] },
    }
  }

  /** As fine as it was opened, whatever a screen shows of it. */
  private async keep(window: Window, inverted: boolean): Promise<PlateAnswers['keep']> {
    if (!this.whole) return { ok: false, problem: 'There is no radiograph yet.' }
    const { width, height } = this.whole
    const grey = greyShown(this.whole, window, inverted)
    const file = await keptJpeg((quality) => this.tools.packed(grey, width, height, quality))
    return file === undefined
      ? { ok: false, problem: 'The picture is too rich in grain to be kept: choose a softer window.' }
      : { ok: true, file, width, height }
  }

  private async show(window: Window, inverted: boolean): Promise<PlateAnswers['show']> {
    if (!this.shown) return { ok: false, problem: 'There is no radiograph yet.' }
    return { ok: true, picture: await this.drawn(this.shown, window, inverted) }
  }

  private drawn(picture: DeepPicture, window: Window, inverted: boolean): Promise<ImageBitmap> {
    return this.tools.drawn(greyShown(picture, window, inverted), picture.width, picture.height)
  }
}

/** How bright each place of a coloured picture is (ITU-R BT.601). */
export function greyOf({ width, height, data }: Picture): DeepPicture {
  const grey = new Float32Array(width * height)
  for (let i = 0, at = 0; i < grey.length; i++, at += 4)
    grey[i] = 0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!
  return { width, height, data: grey }
}

/** As many pixels together, in squares, as bring a picture down to what is shown. */
export function reduced(picture: DeepPicture): DeepPicture {
  const by = Math.ceil(picture.width / SHOWN)
  if (by === 1) return picture
  const [width, height] = [Math.floor(picture.width / by), Math.floor(picture.height / by)]
  // Whole numbers stay whole: what is lost is less than one of their steps.
  const data = new (picture.data instanceof Float32Array ? Float32Array : Uint16Array)(width * height)
  if (by === 2) byFours(picture, data, width, height)
  else bySquares(picture, data, width, height, by)
  return { width, height, data }
}

/** Squares of four, which most plates come down by, as they lie in memory. */
function byFours(
  { data: from, width: wide }: DeepPicture,
  data: Depths,
  width: number,
  height: number,
): void {
  for (let y = 0, to = 0; y < height; y++) {
    let at = 2 * y * wide
    for (const end = to + width; to < end; to++, at += 2)
      data[to] = (from[at]! + from[at + 1]! + from[at + wide]! + from[at + wide + 1]!) / 4
  }
}

function bySquares(
  { data: from, width: wide }: DeepPicture,
  data: Depths,
  width: number,
  height: number,
  by: number,
): void {
  const share = 1 / (by * by)
  for (let y = 0, to = 0; y < height; y++)
    for (let x = 0, at = y * by * wide; x < width; x++, to++, at += by) {
      let sum = 0
      for (let v = 0; v < by; v++) for (let u = at + v * wide, end = u + by; u < end; u++) sum += from[u]!
      data[to] = sum * share
    }
}
