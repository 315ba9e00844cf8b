import { Directive, type OnDestroy, signal } from '@angular/core'

interface Told<Answer> {
  id: number
  progress?: number
  answer?: Answer
}
/** What may come back for anything that is asked: a sentence why it did not go. */
export interface Refused {
  ok: false
  problem: string
}

/** Asks a worker of its own, and goes with whoever asked. What is asked is named by `do`, and has its answer under that name. */
@Directive()
export abstract class AskedWorker<
  Asked extends { do: keyof Answers },
  Answers extends Record<keyof Answers, { ok: boolean }>,
> implements OnDestroy {
  /** How far the work has come, 0 to 1; nothing while none is under way. */
  readonly progress = signal<number | undefined>(undefined)
  private worker: Worker | undefined
  private readonly waiting = new Map<number, (answer: Answers[keyof Answers] | Refused) => void>()
  private last = 0

  ask<Do extends Asked['do']>(asked: Asked & { do: Do }): Promise<Answers[Do] | Refused> {
    const id = ++this.last
    this.progress.set(0)
    return new Promise((answer) => {
      this.waiting.set(id, answer as (answer: Answers[keyof Answers] | Refused) => void)
      this.running().postMessage({ id, asked })
    })
  }

  ngOnDestroy(): void {
    this.worker?.terminate()
  }

  /** Starts the worker: the builder looks for its address where it is written. */
  protected abstract started(): Worker

  private running(): Worker {
    if (this.worker) return this.worker
    const worker = this.started()
    worker.onmessage = ({ data: { id, progress, answer } }: MessageEvent<Told<Answers[keyof Answers]>>) => {
      if (answer) this.answered(id, answer)
      else this.progress.set(progress)
    }
    worker.onerror = () => {
      this.worker = undefined
      for (const id of [...this.waiting.keys()])
        this.answered(id, {
          ok: false,
          problem: 'The picture could not be worked on here: reload and try once more.',
        })
    }
    return (this.worker = worker)
  }

  private answered(id: number, answer: Answers[keyof Answers] | Refused): void {
    this.progress.set(undefined)
    this.waiting.get(id)?.(answer)
    this.waiting.delete(id)
  }
}
