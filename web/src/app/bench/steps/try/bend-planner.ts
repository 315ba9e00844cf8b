import { Injectable } from '@angular/core'
import { triedBends, type AskedBends, type Tried } from './tried-bends'

interface Waiting {
  asked: AskedBends
  answer: (tried: Tried) => void
}

/** Plans bends in a worker; where there is none, or it cannot be fetched, on the page. */
@Injectable({ providedIn: 'root' })
export class BendPlanner {
  private worker: Worker | undefined
  private broken = typeof Worker === 'undefined'
  private readonly waiting = new Map<number, Waiting>()
  private last = 0

  plan(asked: AskedBends): Promise<Tried> {
    if (this.broken) return Promise.resolve(triedBends(asked))
    return new Promise((answer) => {
      const id = ++this.last
      this.waiting.set(id, { asked, answer })
      this.running().postMessage({ id, asked })
    })
  }

  private running(): Worker {
    if (this.worker) return this.worker
    const worker = new Worker(new URL('./bends.worker', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data: { id, tried } }: MessageEvent<{ id: number; tried: Tried }>) => {
      this.waiting.get(id)?.answer(tried)
      this.waiting.delete(id)
    }
    worker.onerror = () => this.fallBack()
    return (this.worker = worker)
  }

  /** What was asked and not answered is planned here; so is all that comes after. */
  private fallBack(): void {
    this.broken = true
    this.worker?.terminate()
    for (const { asked, answer } of this.waiting.values()) answer(triedBends(asked))
    this.waiting.clear()
  }
}
