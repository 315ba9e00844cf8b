import { DestroyRef, DOCUMENT, inject, Injectable } from '@angular/core'

/** What can be gone to with Tab. */
const STOPS =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex="0"]'

/** ms that others have to place the focus themselves, a dialog that closes among them. */
const REST = 80

/**
 * Keeps the focus where the work is. What is pressed often goes away by it (Start visit, Save, a horse that is moved),
 * and the browser lets the focus fall to the page, where the next Tab begins at the top. It goes to what stands nearest
 * instead: in the innermost part that is still there.
 */
@Injectable({ providedIn: 'root' })
export class FocusKept {
  private readonly document = inject(DOCUMENT)
  private readonly destroy = inject(DestroyRef)
  /** What has the focus, and the parts it stands in, from the inside out. */
  private path: Element[] = []
  private resting: ReturnType<typeof setTimeout> | undefined

  /** Begins to watch the page. */
  watch(): void {
    const { document } = this
    const gone = new MutationObserver((changes) => this.look(changes))
    const focused = (event: Event) => {
      this.path = pathOf(event.target as Element)
    }
    const left = ({ relatedTarget }: FocusEvent) => {
      const [last] = this.path
      // Left for the page by a hand, not taken away: it stays left.
      if (relatedTarget === null) setTimeout(() => last === this.path[0] && !isLost(last) && this.forget())
    }
    document.addEventListener('focusin', focused)
    document.addEventListener('focusout', left)
    gone.observe(document.body, { subtree: true, childList: true, attributeFilter: ['disabled'] })
    this.destroy.onDestroy(() => {
      gone.disconnect()
      clearTimeout(this.resting)
      document.removeEventListener('focusin', focused)
      document.removeEventListener('focusout', left)
    })
  }

  private forget(): void {
    if (this.document.activeElement === this.document.body) this.path = []
  }

  private look(changes: readonly MutationRecord[]): void {
    const path = this.path
    const [last] = path
    if (this.resting !== undefined || last === undefined) return
    // Put elsewhere in the page it is there, and without the focus all the same.
    const moved = changes.some(({ removedNodes }) => [...removedNodes].some((node) => node.contains(last)))
    if (!moved && !isLost(last)) return
    this.resting = setTimeout(() => {
      this.resting = undefined
      if (isLost(last)) this.path = []
      const { activeElement, body } = this.document
      // A browser may leave it on what can be pressed no more: keys do nothing there.
      if (activeElement !== null && activeElement !== body && activeElement !== last) return
      if (isLost(last)) this.place(path)
      else if (moved) focus(last)
    }, REST)
  }

  /** In the innermost part that is still there; where none is, at the heading of the page. */
  private place(path: readonly Element[]): void {
    const page = this.document.querySelector('main')
    const above = path.findIndex((part) => part === page || part === this.document.body)
    const stops = path
      .slice(1, above)
      .filter((part) => part.isConnected)
      .map((part) => part.querySelector(STOPS))
    const stop = stops.find((one) => one !== null) ?? page?.querySelector('h1, h2') ?? page
    if (stop) focus(stop)
  }
}

function focus(stop: Element): void {
  if (!(stop instanceof HTMLElement)) return
  if (!stop.matches(STOPS) && !stop.hasAttribute('tabindex')) stop.tabIndex = -1
  stop.focus({ preventScroll: true })
}

const isLost = (one: Element | undefined): boolean =>
  one !== undefined && (!one.isConnected || one.matches(':disabled'))

function pathOf(from: Element): Element[] {
  const path: Element[] = []
  for (let one: Element | null = from; one; one = one.parentElement) path.push(one)
  return path
}
