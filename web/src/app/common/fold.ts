import { Directive, effect, ElementRef, inject, input } from '@angular/core'

/**
 * A fold that the user opens and closes. What is in it may ask to be seen, which opens it; nothing but a hand ever
 * closes it, so that a field never goes away under the one who types in it.
 */
@Directive({ selector: 'details[crFold]' })
export class Fold {
  /** Something in it must be seen. */
  readonly crFold = input<boolean | ''>(false)

  constructor() {
    const { nativeElement } = inject<ElementRef<HTMLDetailsElement>>(ElementRef)
    effect(() => {
      if (this.crFold() === true) nativeElement.open = true
    })
  }
}
