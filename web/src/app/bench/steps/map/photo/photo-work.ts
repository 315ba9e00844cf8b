import type { Vec } from '@crescent/core'
import {
  FILE_WORDS,
  type CardSeen,
  type Picture,
  type PhotoTrace,
  type PhotoWork,
  type Traced,
} from '@crescent/core/photographs'
import { cardSeen, planeByLength, traceIn } from '@crescent/core/photo-tracing'

/** A length that is known in a picture without a card: two places in pixels, mm between them. */
export interface KnownLength {
  from: Vec
  to: Vec
  long: number
}

/** What is asked of the worker, each for the photograph it holds. */
export type PhotoAsked =
  | { do: 'open'; file: Blob }
  | { do: 'card'; card: NonNullable<PhotoWork['card']>; centreDistance: number }
  | { do: 'trace'; work: Pick<PhotoWork, 'object' | 'height' | 'focal35' | 'taps'>; known?: KnownLength }

/** What it answers, by what was asked. */
export interface PhotoAnswers {
  open: { ok: true; width: number; height: number } | { ok: false; problem: string }
  card: Traced<CardSeen>
  trace: Traced<Omit<PhotoTrace, 'residual' | 'marks'>>
}
export type PhotoAnswer = PhotoAnswers[PhotoAsked['do']]

/** Works on one photograph: opened once, its card looked for, its edge followed as often as it is asked. */
export class PhotoWorker {
  private picture: Picture | undefined
  private seen: CardSeen | undefined

  constructor(private readonly decoded: (file: Blob) => Promise<Picture>) {}

  async answer(asked: PhotoAsked, progress: (share: number) => void): Promise<PhotoAnswer> {
    if (asked.do === 'open') return this.open(asked.file)
    if (!this.picture) return { ok: false, problem: 'There is no photograph yet.' }
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
      this.picture = await this.decoded(file)
      return { ok: true, width: this.picture.width, height: this.picture.height }
    } catch {
      this.picture = undefined
      return { ok: false, problem: FILE_WORDS.damaged }
    }
  }
}
