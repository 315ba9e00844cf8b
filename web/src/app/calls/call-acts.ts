import { inject, Injectable } from '@angular/core'
import type { PromisedCall } from '@crescent/core'
import { firstValueFrom } from 'rxjs'
import { Dialogs } from '../common/dialogs'
import { Tells } from '../common/tells'
import { untilKept } from '../common/until-kept'
import { Api, conflictOf, failureText } from '../state/api'
import type { CallDialogData, Promised } from './call-dialog'
import type { Called, CalledData } from './called-dialog'

/** What can be done with calls that are promised: asked for in a dialog, then kept. Each answers whether something changed. */
@Injectable({ providedIn: 'root' })
export class CallActs {
  private readonly api = inject(Api)
  private readonly dialogs = inject(Dialogs)
  private readonly tells = inject(Tells)

  promise(horseId: string, data: CallDialogData): Promise<boolean> {
    const bare: PromisedCall = {
      ...{ id: crypto.randomUUID(), version: 0, horseId, date: data.day, whom: '', phone: '', about: '' },
      ...{ done: null, said: '', archived: false },
    }
    return this.asked(bare, data, 'Promised; it stands on the round.')
  }

  change = (call: PromisedCall, data: CallDialogData): Promise<boolean> =>
    this.asked(call, { ...data, call }, 'Kept.')

  /** As `called`, of a call that is known by its id only. */
  async calledBy(id: string, day: string): Promise<boolean> {
    try {
      return await this.called(await firstValueFrom(this.api.call(id)), day)
    } catch (error) {
      void this.tells.warn(failureText(error))
      return false
    }
  }

  called = (call: PromisedCall, day: string): Promise<boolean> =>
    this.kept<Called>(
      call,
      (before) =>
        this.dialogs.ask<Called, CalledData>(() => import('./called-dialog').then((m) => m.CalledDialog), {
          data: { call, day, ...(before && { before }) },
          width: '560px',
        }),
      (now, what) => {
        if (what.act === 'move') return [{ ...now, date: what.to }, 'Put off.']
        if (what.act === 'drop') return [{ ...now, archived: true }, 'Taken back.']
        return [{ ...now, done: what.on, said: what.said }, 'Called.']
      },
    )

  /** One that was made waits again. */
  async reopen(call: PromisedCall): Promise<boolean> {
    await this.put({ ...call, done: null }, 'It waits again.')
    return true
  }

  private asked = (call: PromisedCall, data: CallDialogData, said: string): Promise<boolean> =>
    this.kept<Promised>(
      call,
      (before) =>
        this.dialogs.ask<Promised, CallDialogData>(() => import('./call-dialog').then((m) => m.CallDialog), {
          data: { ...data, ...(before && { before }) },
          width: '560px',
        }),
      (now, promised) => [{ ...now, ...promised }, said],
    )

  /** Asks until it is kept, on the call as it is by then; one that was changed elsewhere has changed too. */
  private async kept<Answer>(
    call: PromisedCall,
    ask: (before?: Answer) => Promise<Answer | undefined>,
    changed: (now: PromisedCall, answer: Answer) => [PromisedCall, string],
  ): Promise<boolean> {
    let now = call
    const done = await untilKept(ask, async (answer) => {
      const put = await this.put(...changed(now, answer))
      now = put.now ?? now
      return put.kept
    })
    return done || now !== call
  }

  /** Whether it is kept, and how it is stored now where that is known. */
  private async put(call: PromisedCall, said: string): Promise<{ kept: boolean; now?: PromisedCall }> {
    try {
      const now = await firstValueFrom(this.api.putCall(call))
      void this.tells.done(said)
      return { kept: true, now }
    } catch (error) {
      const now = conflictOf<PromisedCall>(error)
      void this.tells.warn(
        now
          ? 'It was changed elsewhere meanwhile: look at it as it is now, then once more.'
          : failureText(error),
      )
      return { kept: false, ...(now && { now }) }
    }
  }
}
