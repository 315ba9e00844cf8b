import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core'
import { MatButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { SIZE_FEET_LABELS, SIZE_KIND_LABELS, type Size } from '@crescent/core'
import { AsyncState } from '../common/async-state'
import { Dialogs } from '../common/dialogs'
import { FigureText } from '../drawing/figure-text'
import { Help } from '../help/help'
import { failureText } from '../state/api'
import { SizeTable } from '../state/size-table'
import type { SizeDialogData } from './size-dialog'

/** The farrier's own table of factory sizes, and what hangs on the van. */
@Component({
  selector: 'cr-rack-page',
  imports: [AsyncState, MatButton, MatIcon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rack-page.html',
  styleUrl: './rack-page.scss',
})
export class RackPage {
  protected readonly table = inject(SizeTable)
  protected readonly text = inject(FigureText)
  private readonly dialogs = inject(Dialogs)
  protected readonly kinds = SIZE_KIND_LABELS
  protected readonly feet = SIZE_FEET_LABELS
  protected readonly failure = signal('')

  protected readonly ranges = computed(() => {
    const found = new Map<string, Size[]>()
    for (const size of this.table.rows() ?? []) {
      const name = size.range === '' ? 'No range' : size.range
      found.set(name, [...(found.get(name) ?? []), size])
    }
    return [...found].map(([name, sizes]) => ({ name, sizes }))
  })

  /** Sizes of which fewer hang on the van than are wanted there. */
  protected readonly toOrder = computed(() =>
    (this.table.rows() ?? [])
      .filter(({ onVan, keepOnVan }) => onVan < keepOnVan)
      .map((size) => ({ size, count: size.keepOnVan - size.onVan })),
  )

  constructor() {
    inject(Help).here.set('rack')
    void this.table.read()
  }

  protected add(): void {
    this.open({})
  }

  protected edit(size: Size): void {
    this.open({ size })
  }

  /** A new size that is like another one. */
  protected copy(size: Size): void {
    this.open({ like: size })
  }

  protected async count(size: Size, by: number): Promise<void> {
    try {
      await this.table.put({ ...size, onVan: Math.max(0, size.onVan + by) })
      this.failure.set('')
    } catch (error) {
      this.failure.set(failureText(error))
      void this.table.read()
    }
  }

  protected bringIn(): void {
    void this.dialogs
      .ask<boolean>(() => import('./csv-dialog').then((m) => m.CsvDialog), {
        width: '760px',
        maxWidth: '96vw',
      })
      .then((kept) => {
        if (kept) void this.table.read()
      })
  }

  private open(data: SizeDialogData): void {
    void this.dialogs.ask<Size, SizeDialogData>(() => import('./size-dialog').then((m) => m.SizeDialog), {
      data,
      width: '620px',
      maxWidth: '96vw',
    })
  }
}
