import {
  DestroyRef,
  Directive,
  effect,
  ElementRef,
  inject,
  Injector,
  input,
  runInInjectionContext,
} from '@angular/core'
import type { MatTooltip } from '@angular/material/tooltip'

/**
 * A few words at a button for who points at it or comes to it by keyboard. Material's tooltip, fetched when it is first
 * wanted: it and what it stands on weigh as much as a page.
 */
@Directive({
  selector: '[crTip]',
  host: { '(pointerenter)': 'enter($event)', '(focus)': 'bring()' },
})
export class Tip {
  readonly crTip = input.required<string>()

  private readonly injector = inject(Injector)
  private readonly element: HTMLElement = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement
  private tooltip: MatTooltip | undefined
  private asked = false
  private gone = false

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.gone = true
      this.tooltip?.ngOnDestroy()
    })
    effect(() => {
      const words = this.crTip()
      if (this.tooltip) this.tooltip.message = words
    })
  }

  /** A finger does not point: what it taps must not be covered by words. */
  protected enter(event: PointerEvent): void {
    if (event.pointerType !== 'touch') this.bring()
  }

  protected bring(): void {
    if (this.asked) return
    this.asked = true
    import('@angular/material/tooltip').then(
      ({ MatTooltip }) => this.fit(MatTooltip),
      // Out of reach: the button has its name, and the next who points at it asks again.
      () => (this.asked = false),
    )
  }

  private fit(Tooltip: typeof MatTooltip): void {
    if (this.gone) return
    const tooltip = runInInjectionContext(this.injector, () => new Tooltip())
    tooltip.message = this.crTip()
    // No finger that rests on its button calls it up.
    tooltip.touchGestures = 'off'
    tooltip.ngAfterViewInit()
    this.tooltip = tooltip
    if (this.element.matches(':hover, :focus-visible')) tooltip.show()
  }
}
