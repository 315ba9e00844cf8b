import type { Vec } from '@crescent/core'
import { madeUpPhotograph } from '@crescent/core/made-up'
import {
  FILE_WORDS,
  type Card,
  type CardSeen,
  type FromAbove,
  type Picture,
  type PhotoTrace,
  type PhotoWork,
  type Traced,
  type View,
} from '@crescent/core/photographs'
import { cardSeen, fromAbove, planeByLength, smaller, traceIn } from '@crescent/core/photo-tracing'
import { keptJpeg, type KeptJpeg } from '../../../../common/kept-jpeg'

/** A length that is known in a picture without a card: two places in pixels, mm between them. */
export interface KnownLength {
  from: Vec
  to: Vec
  long: number
}

/** What is asked of the worker, each for the photograph it holds. */
export type PhotoAsked =
  | { do: 'open'; file: Blob }
  | { do: 'practise'; object: PhotoWork['object']; card: Card['key']; seed: number }
  | { do: 'card'; card: NonNullable<PhotoWork['card']>; centreDistance: number }
  | { do: 'trace'; work: Omit<PhotoWork, 'card' | 'centreDistance'>; known?: KnownLength }
  | { do: 'keep'; above?: { view: View; frame: FromAbove } }

/** What it answers, by what was asked. */
export interface PhotoAnswers {
  open: { ok: true; width: number; height: number } | { ok: false; problem: string }
  /** A made-up photograph as a file that is opened like any other. */
  practise: { ok: true; file: Blob } | { ok: false; problem: string }
  card: Traced<CardSeen>
  trace: Traced<Omit<PhotoTrace, 'residual' | 'marks'>>
  /** As it is kept: as it was taken, or as from straight above. */
  keep: ({ ok: true } & KeptJpeg) | { ok: false; problem: string }
}
export type PhotoAnswer = PhotoAnswers[PhotoAsked['do']]

/** What is made of a picture's bytes where there is a canvas. */
export interface PhotoTools {
  decoded: (file: Blob) => Promise<Picture>
  packed: (rgba: Uint8ClampedArray, width: number, height: number, quality?: number) => Promise<Blob>
}

/** As wide as one to practise on is made, pixels: sharp enough to be followed, and soon there. */
const PRACTISED = 1400

/** A photograph is kept no wider and no higher than this, pixels: what a phone takes, and no more. */
const KEPT = 4_100

/** Works on one photograph: opened once, its card looked for, its edge followed as often as it is asked. */
export class PhotoWorker {
  private picture: Picture | undefined
  private seen: CardSeen | undefined

  constructor(private readonly tools: PhotoTools) {}

  async answer(asked: PhotoAsked, progress: (share: number) => void): Promise<PhotoAnswer> {
    if (asked.do === 'open') return this.open(asked.file)
    if (asked.do === 'practise') {
      const { object, card, seed } = asked
      const { picture } = madeUpPhotograph({ object, card, seed, width: PRACTISED, height: 0, tilt: 12 })
      return {
        ok: true,
        file: await this.tools.packed(new Uint8ClampedArray(picture.data), picture.width, picture.height),
      }
    }
    if (!this.picture) return { ok: false, problem: 'There is no photograph yet.' }
    if (asked.do === 'keep') return this.keep(this.picture, asked.above)
    if (asked.do === 'card') {
      const seen = cardSeen(this.picture, asked.card, asked.centreDistance)
      this.seen = seen.ok ? seen : undefined
      return seen
    }
    const plane = asked.known
      ? planeByLength(asked.known.from, asked.known.to, asked.known.long, this.picture)
      : this.seen
    if (!plane) return { ok: false, problem: 'The scale card was not found in this photograph.' }
    return traceIn(this.picture, plane, asked.work, progress)
  }

  private async open(file: Blob): Promise<PhotoAnswers['open']> {
    this.seen = undefined
    try {
      this.picture = await this.tools.decoded(file)
      return { ok: true, width: this.picture.width, height: this.picture.height }
    } catch {
      this.picture = undefined
      return { ok: false, problem: FILE_WORDS.damaged }
    }
  }

  private async keep(
    picture: Picture,
    above: { view: View; frame: FromAbove } | undefined,
  ): Promise<PhotoAnswers['keep']> {
    const by = Math.ceil(Math.max(picture.width, picture.height) / KEPT)
    const shown = above
      ? fromAbove(picture, above.view, above.frame)
      : by > 1
        ? smaller(picture, by)
        : picture
    const { width, height } = shown
    const rgba = new Uint8ClampedArray(shown.data)
    const file = await keptJpeg((quality) => this.tools.packed(rgba, width, height, quality))
    return file === undefined
      ? { ok: false, problem: 'The picture is too rich in grain to be kept.' }
      : { ok: true, file, width, height }
  }
}
