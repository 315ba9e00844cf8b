import { DestroyRef, Directive, ElementRef, inject, signal } from '@angular/core'

/** How long a finger rests on a handle before it takes hold, ms; how far it may stray meanwhile, px. */
const HOLD = 280
const STRAY = 9

/**
 * Keeps a swipe over a drawing a swipe of the page. A finger takes hold of a handle only after a short rest on it, or
 * once the drawing was woken by a tap; mouse, pen and keys are not asked to wait.
 */
@Directive({
  host: {
    '[class.asleep]': '!awake()',
    '[class.awake]': 'awake()',
    '(pointerdown)': 'down($event)',
    '(pointermove)': 'stray($event)',
    '(pointerup)': 'up($event)',
    '(pointercancel)': 'drop()',
  },
})
export class TouchGuard {
  /** The drawing was tapped: handles and sheet follow the finger, the page does not scroll from here. */
  readonly awake = signal(false)
  /** A finger moved something: it can be taken back at once. */
  readonly moved = signal(false)

  private start: { x: number; y: number } | undefined
  private resting: ReturnType<typeof setTimeout> | undefined
  private holding = false

  constructor() {
    const host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement
    // Not passive: while a finger holds a handle the page must stay where it is.
    const still = (event: TouchEvent) => {
      if (this.holding && event.cancelable) event.preventDefault()
    }
    host.addEventListener('touchmove', still, { passive: false })
    inject(DestroyRef).onDestroy(() => {
      host.removeEventListener('touchmove', still)
      clearTimeout(this.resting)
    })
  }

  /** Takes hold of a handle: at once, or for a finger on a sleeping drawing after a short rest. */
  take(event: PointerEvent, hold: () => void): void {
    if (event.pointerType !== 'touch') {
      event.preventDefault()
      return hold()
    }
    const begin = () => {
      this.holding = true
      this.moved.set(true)
      hold()
    }
    if (this.awake()) return begin()
    clearTimeout(this.resting)
    this.resting = setTimeout(() => {
      navigator.vibrate?.(12)
      begin()
    }, HOLD)
  }

  /** A sheet may follow a single finger only while it is awake; two fingers always mean the sheet. */
  mayMoveSheet = (event: Event): boolean =>
    !('touches' in event) || this.awake() || (event as TouchEvent).touches.length > 1

  protected down({ pointerType, clientX, clientY }: PointerEvent): void {
    this.start = pointerType === 'touch' ? { x: clientX, y: clientY } : undefined
  }

  protected stray({ clientX, clientY }: PointerEvent): void {
    if (!this.start || Math.hypot(clientX - this.start.x, clientY - this.start.y) < STRAY) return
    this.start = undefined
    if (!this.holding) clearTimeout(this.resting)
  }

  protected up(event: PointerEvent): void {
    const onTool = (event.target as Element).closest('button, a') !== null
    // A tap, not a swipe and not a hold.
    if (this.start && !this.holding && !onTool) this.awake.set(true)
    this.drop()
  }

  protected drop(): void {
    clearTimeout(this.resting)
    this.start = undefined
    this.holding = false
  }
}
