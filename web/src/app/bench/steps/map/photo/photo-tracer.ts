import { Injectable, type OnDestroy, signal } from '@angular/core'
import type { PhotoAnswer, PhotoAnswers, PhotoAsked } from './photo-work'

interface Told {
  id: number
  progress?: number
  answer?: PhotoAnswer
}

/** Has a photograph worked on in a worker of its own; the worker goes with who asked. */
@Injectable()
export class PhotoTracer implements OnDestroy {
  /** How far the work has come, 0 to 1; nothing while none is under way. */
  readonly progress = signal<number | undefined>(undefined)
  private worker: Worker | undefined
  private readonly waiting = new Map<number, (answer: PhotoAnswer) => void>()
  private last = 0

  ask<Do extends PhotoAsked['do']>(asked: PhotoAsked & { do: Do }): Promise<PhotoAnswers[Do]> {
    const id = ++this.last
    this.progress.set(0)
    return new Promise((answer) => {
      this.waiting.set(id, answer as (answer: PhotoAnswer) => void)
      this.running().postMessage({ id, asked })
    })
  }

  ngOnDestroy(): void {
    this.worker?.terminate()
  }

  private running(): Worker {
    if (this.worker) return this.worker
    const worker = new Worker(new URL('./photo.worker', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data: { id, progress, answer } }: MessageEvent<Told>) => {
      if (answer) this.answered(id, answer)
      else this.progress.set(progress)
    }
    worker.onerror = () => {
      this.worker = undefined
      for (const id of [...this.waiting.keys()])
        this.answered(id, {
          ok: false,
          problem: 'The photograph could not be worked on here: reload and try once more.',
        })
    }
    return (this.worker = worker)
  }

  private answered(id: number, answer: PhotoAnswer): void {
    this.progress.set(undefined)
    this.waiting.get(id)?.(answer)
    this.waiting.delete(id)
  }
}
