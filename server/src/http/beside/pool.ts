import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import pLimit from 'p-limit'
import { Piscina } from 'piscina'
import { Busy } from '../door'
import { BESIDE_KINDS, type Answered, type Asked, type BesideKind } from './asked'

/** As many wait for a thread; who comes after them is asked to come again. */
const QUEUE = 24
/** A thread nobody needs is ended after so long, ms. */
const IDLE = 120_000

/** Run from its sources the thread is read as they are, else as the build made it. */
const SOURCES = import.meta.url.endsWith('.ts')
const THREAD = fileURLToPath(
  new URL(SOURCES ? '../../thread-of-sources.mjs' : './thread.js', import.meta.url),
)

/** Does work beside the one thread that answers everybody. */
export interface Beside {
  /**
   * @param gone ends the work where the asker has gone
   * @throws Busy where too many wait, or it took too long
   */
  ask: (kind: BesideKind, asked: Asked, gone: AbortSignal) => Promise<Answered>
  /** Has a thread ready before somebody waits for it. */
  warm: () => void
  close: () => Promise<void>
}

/** One thread less than there are processors: the one that answers keeps its own. */
const THREADS = Math.max(1, availableParallelism() - 1)

/** Threads of one kind. None is begun before work of its kind comes. */
const threadsOf = ({ memory }: { memory: number }) =>
  new Piscina<Asked | null, Answered>({
    ...{ filename: THREAD, minThreads: 0, maxThreads: THREADS, idleTimeout: IDLE },
    resourceLimits: { maxOldGenerationSizeMb: memory },
  })

/** Threads for whatever would hold the server up: each kind has its own, and no more work at once than `THREADS`. */
export function besideInThreads(): Beside {
  const pools = new Map<BesideKind, ReturnType<typeof threadsOf>>()
  const pool = (kind: BesideKind) => {
    const known = pools.get(kind) ?? threadsOf(BESIDE_KINDS[kind])
    pools.set(kind, known)
    return known
  }
  const turn = pLimit(THREADS)
  /** Being worked out, or waiting for it. */
  let under = 0
  return {
    async ask(kind, asked, gone) {
      if (under >= THREADS + QUEUE) throw new Busy('Much is being worked out at once: try again in a moment')
      const { seconds } = BESIDE_KINDS[kind]
      const late = AbortSignal.timeout(seconds * 1_000)
      under++
      try {
        return await turn(() => pool(kind).run(asked, { signal: AbortSignal.any([late, gone]) }))
      } catch (error) {
        if (late.aborted) throw new Busy(`This took longer than ${seconds} s and was given up`)
        throw inWords(error)
      } finally {
        under--
      }
    },
    warm: () =>
      void pool('reckoning')
        .run(null)
        .catch(() => undefined),
    close: async () => void (await Promise.all([...pools.values()].map((one) => one.destroy()))),
  }
}

/** A thread that ran out of memory is gone, and with it only its own work. */
const inWords = (error: unknown): unknown =>
  (error as { code?: unknown }).code === 'ERR_WORKER_OUT_OF_MEMORY'
    ? new Busy('This needed more memory than one request may have, and was given up')
    : error
