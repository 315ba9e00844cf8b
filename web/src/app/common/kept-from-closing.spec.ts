import type { MatDialogRef } from '@angular/material/dialog'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { keptFromClosing } from './kept-from-closing'

let box: HTMLElement
let closed: number
const dialog = () => ({ id: 'box', close: () => closed++ }) as unknown as MatDialogRef<unknown, unknown>
beforeEach(() => {
  closed = 0
  document.body.innerHTML =
    '<div id="box"><input><textarea></textarea><input type="search"><input type="checkbox"></div>'
  box = document.getElementById('box')!
})
afterEach(() => (document.body.innerHTML = ''))
const type = (selector: string) =>
  box.querySelector(selector)!.dispatchEvent(new Event('input', { bubbles: true }))

describe('a dialog in which something was typed', () => {
  it('is closed by Escape only where somebody says that it may go', async () => {
    let may = false
    const guard = keptFromClosing(() => Promise.resolve(may))
    guard.over(dialog())
    // Nothing typed yet: it closes at once.
    expect(guard.mayClose(undefined)).toBe(true)
    type('textarea')
    expect(guard.mayClose(undefined)).toBe(false)
    await Promise.resolve()
    expect(closed).toBe(0)
    may = true
    expect(guard.mayClose(undefined)).toBe(false)
    await Promise.resolve()
    await Promise.resolve()
    expect(closed).toBe(1)
    expect(guard.mayClose(undefined)).toBe(true)
  })

  it('is closed by its own buttons as ever, and by Escape where only something was looked for or ticked', () => {
    const guard = keptFromClosing(() => Promise.resolve(false))
    guard.over(dialog())
    type('[type=search]')
    type('[type=checkbox]')
    expect(guard.mayClose(undefined)).toBe(true)
    type('input')
    expect(guard.mayClose('')).toBe(true)
    expect(guard.mayClose({ notes: 'typed' })).toBe(true)
    expect(guard.mayClose(undefined)).toBe(false)
  })

  it('asks once however often Escape is pressed', () => {
    let asked = 0
    const guard = keptFromClosing(() => (asked++, new Promise(() => undefined)))
    guard.over(dialog())
    type('input')
    guard.mayClose(undefined)
    guard.mayClose(undefined)
    expect(asked).toBe(1)
  })
})
