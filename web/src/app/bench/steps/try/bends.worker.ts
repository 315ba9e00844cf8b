/// <reference lib="webworker" />
import { triedBends, type AskedBends } from './tried-bends'

/** Plans bends beside the page, so that typing and stepping go on meanwhile. */
addEventListener('message', ({ data }: MessageEvent<{ id: number; asked: AskedBends }>) => {
  postMessage({ id: data.id, tried: triedBends(data.asked) })
})
