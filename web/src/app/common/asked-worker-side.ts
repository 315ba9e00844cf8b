import type { Refused } from './asked-worker'

/** Answers in a worker what {@link AskedWorker} asks, and says how far it has come. */
export function answersAsked<Asked, Answer extends object>(
  answer: (asked: Asked, progress: (share: number) => void) => Promise<Answer>,
): void {
  addEventListener('message', ({ data }: MessageEvent<{ id: number; asked: Asked }>) => {
    const { id, asked } = data
    void answer(asked, (progress) => postMessage({ id, progress }))
      .catch((): Refused => ({ ok: false, problem: 'The picture could not be worked on.' }))
      .then((answered) => postMessage({ id, answer: answered }, { transfer: moved(answered) }))
  })
}

/** What goes over without being copied: pictures that were drawn here are looked at there. */
const moved = (answer: object): Transferable[] =>
  Object.values(answer).filter((part): part is ImageBitmap => part instanceof ImageBitmap)
