import { Component, signal } from '@angular/core'
import { TestBed } from '@angular/core/testing'
import { describe, expect, it, vi } from 'vitest'
import { Tip } from './tip'

@Component({ imports: [Tip], template: `<button [crTip]="words()">x</button>` })
class Host {
  readonly words = signal('Undo the width')
}

const shown = () => document.querySelector('.mat-mdc-tooltip')?.textContent?.trim()

describe('a tip', () => {
  it('tells its words once somebody points at it, the newest ones, and goes with its button', async () => {
    const fixture = TestBed.createComponent(Host)
    document.body.append(fixture.nativeElement as HTMLElement)
    fixture.detectChanges()
    const button = (fixture.nativeElement as HTMLElement).querySelector('button')!
    expect(shown()).toBeUndefined()
    vi.spyOn(button, 'matches').mockReturnValue(true)
    button.dispatchEvent(new Event('pointerenter'))
    await vi.waitFor(() => {
      fixture.detectChanges()
      expect(shown()).toBe('Undo the width')
    })
    fixture.componentInstance.words.set('Undo the length')
    await vi.waitFor(() => {
      fixture.detectChanges()
      expect(shown()).toBe('Undo the length')
    })
    fixture.destroy()
    await vi.waitFor(() => expect(shown()).toBeUndefined())
  })

  it('is not for fingers: what is tapped stays as it is', async () => {
    const fixture = TestBed.createComponent(Host)
    document.body.append(fixture.nativeElement as HTMLElement)
    fixture.detectChanges()
    const button = (fixture.nativeElement as HTMLElement).querySelector('button')!
    vi.spyOn(button, 'matches').mockReturnValue(true)
    button.dispatchEvent(new PointerEvent('pointerenter', { pointerType: 'touch' }))
    await new Promise((done) => setTimeout(done, 150))
    expect(shown()).toBeUndefined()
    fixture.destroy()
  })
})
