import { vi } from 'vitest'

/** For tests: what looks how large it is on the screen is never told. Undone by `vi.unstubAllGlobals()`. */
export function nothingResizes(): void {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe = () => undefined
      unobserve = () => undefined
      disconnect = () => undefined
    },
  )
}
