import { EnvironmentInjector, inject, Injectable, type Type } from '@angular/core'
import type { MatDialog, MatDialogConfig, MatDialogRef } from '@angular/material/dialog'
import { firstValueFrom } from 'rxjs'
import type { Question } from './ask-dialog'
import { keptFromClosing } from './kept-from-closing'
import { Tells } from './tells'

/** Opens dialogs. What they are made of is fetched when the first one is wanted, not with the page. */
@Injectable({ providedIn: 'root' })
export class Dialogs {
  private readonly injector = inject(EnvironmentInjector)
  private readonly tells = inject(Tells)
  private material: MatDialog | undefined
  private coming: Promise<unknown> | undefined

  /** Something is open, or about to be: the keys of the page mean nothing. */
  get open(): boolean {
    return this.coming !== undefined || (this.material?.openDialogs.length ?? 0) > 0
  }

  /**
   * Opens what was tapped for, and waits for what it is closed with; nothing where it was only closed. A second tap while
   * it is still coming opens nothing.
   *
   * @param bring fetches the dialog
   */
  async ask<Answer = void, Data = unknown>(
    bring: () => Promise<Type<unknown>>,
    config: MatDialogConfig<Data> = {},
  ): Promise<Answer | undefined> {
    if (this.coming) return undefined
    const coming = this.fetched<Answer, Data>(bring, config)
    this.coming = coming
    try {
      return await firstValueFrom((await coming.finally(() => (this.coming = undefined))).afterClosed())
    } catch (error) {
      console.error(error)
      void this.tells.warn('This part of Crescent could not be loaded. Is the server running?')
      return undefined
    }
  }

  /** Opens what nobody tapped for and must be answered: it waits for what is still coming. */
  async insist<Answer, Data = unknown>(
    bring: () => Promise<Type<unknown>>,
    config: MatDialogConfig<Data> = {},
  ): Promise<Answer | undefined> {
    while (this.coming) await this.coming.catch(() => undefined)
    return this.ask<Answer, Data>(bring, config)
  }

  private async fetched<Answer, Data>(
    bring: () => Promise<Type<unknown>>,
    config: MatDialogConfig<Data>,
  ): Promise<MatDialogRef<unknown, Answer>> {
    const [{ MatDialog }, dialog] = await Promise.all([import('@angular/material/dialog'), bring()])
    const material = this.injector.get(MatDialog)
    this.material = material
    const guard = keptFromClosing(() => this.throwAway(material))
    return guard.over(
      material.open<unknown, Data, Answer>(dialog, { closePredicate: guard.mayClose, ...config }),
    )
  }

  /** What was typed is thrown away only where somebody says so. */
  private async throwAway(material: MatDialog): Promise<boolean> {
    const { AskDialog } = await import('./ask-dialog')
    const data: Question = {
      title: 'Throw away what you typed?',
      question: 'It is not kept anywhere yet.',
      yes: 'Go on with it',
      no: 'Throw it away',
    }
    const asked = material.open<unknown, Question, boolean>(AskDialog, {
      data,
      width: '400px',
      disableClose: true,
    })
    return (await firstValueFrom(asked.afterClosed())) === false
  }
}
