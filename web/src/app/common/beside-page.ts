interface Waiting<Asked, Answer> {
  asked: Asked
  answer: (answer: Answer) => void
}

/** Works something out in a worker; where there is none, or it cannot be fetched, on the page. */
export abstract class BesidePage<Asked, Answer> {
  private worker: Worker | undefined
  private broken = typeof Worker === 'undefined'
  private readonly waiting = new Map<number, Waiting<Asked, Answer>>()
  private last = 0

  ask(asked: Asked): Promise<Answer> {
    if (this.broken) return Promise.resolve(this.onPage(asked))
    return new Promise((answer) => {
      const id = ++this.last
      this.waiting.set(id, { asked, answer })
      this.running().postMessage({ id, asked })
    })
  }

  /** Starts the worker: the builder looks for its address where it is written. */
  protected abstract started(): Worker

  /** The same work, here. */
  protected abstract onPage(asked: Asked): Answer

  private running(): Worker {
    if (this.worker) return this.worker
    const worker = this.started()
    worker.onmessage = ({ data: { id, answer } }: MessageEvent<{ id: number; answer: Answer }>) => {
      this.waiting.get(id)?.answer(answer)
      this.waiting.delete(id)
    }
    worker.onerror = () => this.fallBack()
    return (this.worker = worker)
  }

  /** What was asked and not answered is worked out here; so is all that comes after. */
  private fallBack(): void {
    this.broken = true
    this.worker?.terminate()
    for (const { asked, answer } of this.waiting.values()) answer(this.onPage(asked))
    this.waiting.clear()
  }
}

/** Answers in a worker what {@link BesidePage} asks. */
export const answersBeside = <Asked, Answer>(work: (asked: Asked) => Answer): void =>
  addEventListener('message', ({ data: { id, asked } }: MessageEvent<{ id: number; asked: Asked }>) =>
    postMessage({ id, answer: work(asked) }),
  )
