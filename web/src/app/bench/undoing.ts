import { computed, inject, Injectable } from '@angular/core'
import { Router } from '@angular/router'
import { Store } from '@ngrx/store'
import { Tells } from '../common/tells'
import { benchActions, benchFeature } from '../state/bench/bench.feature'
import { changeWords } from '../state/bench/change-words'
import type { Step } from '../state/bench/draft'
import { lookActions } from '../state/look/look.feature'
import { Desk } from './desk'
import { Looking } from './steps/look/looking'

/** Takes back and does again what was done on the bench; what is on another foot comes into view with what it was. */
@Injectable()
export class Undoing {
  private readonly store = inject(Store)
  private readonly router = inject(Router)
  private readonly tells = inject(Tells)
  private readonly desk = inject(Desk)
  private readonly looking = inject(Looking)
  private readonly side = this.store.selectSignal(benchFeature.selectSide)
  private readonly page = this.store.selectSignal(benchFeature.selectPage)
  private readonly last = this.store.selectSignal(benchFeature.selectLastStep)
  private readonly next = this.store.selectSignal(benchFeature.selectNextStep)

  /** What undo would take back and redo make again, in words; undefined where there is nothing. */
  readonly bench = {
    undo: computed(() => this.words(this.last())),
    redo: computed(() => this.words(this.next())),
  }
  readonly look = {
    undo: computed(() => (this.looking.canUndo() ? 'what was looked at' : undefined)),
    redo: computed(() => (this.looking.canRedo() ? 'what was looked at' : undefined)),
  }

  /** Those of the step that is open. */
  readonly here = computed(() => (this.looked() ? this.look : this.bench))
  private looked = (): boolean => this.desk.step()?.undoes === 'look'

  undo(): void {
    if (this.looked()) return this.store.dispatch(lookActions.undo())
    this.move(this.last(), 'Undone', benchActions.undo())
  }

  redo(): void {
    if (this.looked()) return this.store.dispatch(lookActions.redo())
    this.move(this.next(), 'Done again', benchActions.redo())
  }

  private move(
    step: Step | undefined,
    way: string,
    action: ReturnType<typeof benchActions.undo | typeof benchActions.redo>,
  ) {
    if (!step) return
    const elsewhere = step.side !== this.side()
    this.store.dispatch(action)
    if (!elsewhere) return
    void this.router.navigate(['/bench', this.page()!.visit.id, step.side], {
      replaceUrl: true,
      queryParamsHandling: 'preserve',
    })
    void this.tells.done(`${way} on ${step.side}: ${changeWords(step.what)}`, 5_000)
  }

  private words(step: Step | undefined): string | undefined {
    if (!step) return undefined
    const words = changeWords(step.what)
    return step.side === this.side() ? words : `${words}, ${step.side}`
  }
}
