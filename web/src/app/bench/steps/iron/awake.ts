import { DestroyRef, DOCUMENT, inject, signal, type Signal } from '@angular/core'

/** What of the wake lock is used here. */
interface Lock {
  release: () => Promise<void>
  addEventListener: (type: 'release', heard: () => void) => void
}

/**
 * Keeps the screen awake while a component is shown, as far as the device lets it; it is asked again when the page comes
 * back into view.
 *
 * @returns whether the screen is kept awake now
 */
export function keepAwake(): Signal<boolean> {
  const document = inject(DOCUMENT)
  const wakeLock = (
    document.defaultView?.navigator as
      { wakeLock?: { request: (what: 'screen') => Promise<Lock> } } | undefined
  )?.wakeLock
  const awake = signal(false)
  let lock: Lock | undefined
  let gone = false
  const ask = async (): Promise<void> => {
    if (!wakeLock || document.visibilityState !== 'visible') return
    try {
      const got = await wakeLock.request('screen')
      if (gone) return void got.release()
      lock = got
      awake.set(true)
      got.addEventListener('release', () => awake.set(false))
    } catch {
      // A device low on power says no: the work goes on, the screen may go dark.
      awake.set(false)
    }
  }
  const again = () => void ask()
  document.addEventListener('visibilitychange', again)
  void ask()
  inject(DestroyRef).onDestroy(() => {
    gone = true
    document.removeEventListener('visibilitychange', again)
    void lock?.release()
  })
  return awake.asReadonly()
}
