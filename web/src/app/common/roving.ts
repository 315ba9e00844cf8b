import { afterEveryRender, Directive, ElementRef, inject, input } from '@angular/core'

/** How far an arrow or end key moves among items; the ends are joined. */
const MOVES: Record<string, (at: number, count: number) => number> = {
  ArrowRight: (at, count) => (at + 1) % count,
  ArrowDown: (at, count) => (at + 1) % count,
  ArrowLeft: (at, count) => (at - 1 + count) % count,
  ArrowUp: (at, count) => (at - 1 + count) % count,
  Home: () => 0,
  End: (_at, count) => count - 1,
}

/** Radios and tabs as the keyboard expects them: one stop for Tab, the arrows go on and choose. */
@Directive({ selector: '[role=radiogroup], [role=tablist]', host: { '(keydown)': 'move($event)' } })
export class Roving {
  /** What is chosen is stored at once: the arrows only go there, Space and Enter choose. */
  readonly crOnlyGoes = input(false)
  private readonly group = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement

  constructor() {
    afterEveryRender(() => {
      const items = this.items()
      const chosen = items.find(isChosen) ?? items[0]
      for (const item of items) item.tabIndex = item === chosen ? 0 : -1
    })
  }

  protected move(event: KeyboardEvent): void {
    const items = this.items()
    const at = items.indexOf((event.target as HTMLElement).closest<HTMLElement>('[role=radio], [role=tab]')!)
    const to = MOVES[event.key]
    if (at === -1 || !to || event.ctrlKey || event.metaKey || event.altKey) return
    event.preventDefault()
    const next = items[to(at, items.length)]!
    next.focus()
    if (!this.crOnlyGoes()) next.click()
  }

  private items = (): HTMLElement[] => [
    ...this.group.querySelectorAll<HTMLElement>('[role=radio]:not(:disabled), [role=tab]:not(:disabled)'),
  ]
}

const isChosen = (item: HTMLElement): boolean =>
  item.getAttribute('aria-checked') === 'true' || item.getAttribute('aria-selected') === 'true'
