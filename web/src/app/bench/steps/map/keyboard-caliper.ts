import { DOCUMENT } from '@angular/common'
import { inject, Injectable } from '@angular/core'

/** Types readings into the figure that was last in hand, key by key, and ends with Enter as such calipers do. */
@Injectable({ providedIn: 'root' })
export class KeyboardCaliper {
  private last: HTMLInputElement | undefined

  constructor() {
    inject(DOCUMENT).addEventListener('focusin', ({ target }) => {
      if (target instanceof HTMLInputElement && target.dataset['field'] !== undefined) this.last = target
    })
  }

  /** @returns the name of the field that took it, or undefined where none was in hand */
  type(reading: string): string | undefined {
    const field = this.last
    if (!field?.isConnected) return undefined
    field.focus()
    field.select()
    for (const key of reading) {
      field.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
      field.setRangeText(key, field.selectionStart ?? 0, field.selectionEnd ?? 0, 'end')
      field.dispatchEvent(new InputEvent('input', { data: key, inputType: 'insertText', bubbles: true }))
    }
    const name = field.labels?.[0]?.firstChild?.textContent?.trim() ?? field.dataset['field']
    field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }))
    return name
  }
}
