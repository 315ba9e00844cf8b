import { DOCUMENT } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import { provideDoubleTapGuard } from './double-tap'

/** Clicks there, as one of a pair or of more; whether the click arrived. */
function arrives(target: Element, detail: number): boolean {
  let arrived = false
  target.addEventListener('click', () => (arrived = true), { once: true })
  target.dispatchEvent(new MouseEvent('click', { detail, bubbles: true, cancelable: true }))
  return arrived
}

describe('a double tap', () => {
  let page: HTMLElement
  let backdrop: HTMLElement
  beforeEach(() => {
    TestBed.configureTestingModule({ providers: [provideDoubleTapGuard()] })
    // The first thing that is asked for sets the environment up.
    TestBed.inject(DOCUMENT)
    document.body.innerHTML = '<button></button><div class="cdk-overlay-container"><div></div></div>'
    page = document.querySelector('button')!
    backdrop = document.querySelector('.cdk-overlay-container div')!
  })

  it('does not reach into the dialog that its first tap opened', () => {
    expect(arrives(page, 1)).toBe(true)
    expect(arrives(backdrop, 2)).toBe(false)
  })
  it('is left alone where it began in the dialog, or where each tap is one of its own', () => {
    expect(arrives(backdrop, 1)).toBe(true)
    expect(arrives(backdrop, 2)).toBe(true)
    expect(arrives(page, 1)).toBe(true)
    expect(arrives(backdrop, 1)).toBe(true)
  })
})
