import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core'
import { MatButton, MatIconButton } from '@angular/material/button'
import { MatIcon } from '@angular/material/icon'
import { RouterLink } from '@angular/router'
import { SIDES, type Side } from '@crescent/core'
import { Store } from '@ngrx/store'
import { Roving } from '../common/roving'
import { Tip } from '../common/tip'
import { longDay } from '../common/today'
import { benchFeature } from '../state/bench/bench.feature'
import { BenchMenu } from './bench-menu'
import { Desk } from './desk'
import { Keeping } from './keep/keeping'
import { Printing } from './print/printing'
import { SIDE_NAMES } from '@crescent/core/text'
import { Looking } from './steps/look/looking'
import { Undoing } from './undoing'

/** Over the Bench: whose foot lies on it, the other feet, and what can be done with the visit. */
@Component({
  selector: 'cr-bench-head',
  imports: [MatButton, MatIcon, MatIconButton, BenchMenu, Roving, RouterLink, Tip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-head.html',
  styleUrl: './bench-head.scss',
})
export class BenchHead {
  /** Another foot. */
  readonly chosen = output<Side>()

  private readonly store = inject(Store)
  protected readonly desk = inject(Desk)
  protected readonly keeping = inject(Keeping)
  protected readonly printing = inject(Printing)
  protected readonly undoing = inject(Undoing)
  private readonly looking = inject(Looking)

  /** The menu was asked for: from then on it is there. */
  protected readonly more = signal(false)
  protected readonly sides = SIDES
  protected readonly sideNames = SIDE_NAMES
  protected readonly work = this.store.selectSignal(benchFeature.selectWork)
  protected readonly paused = this.store.selectSignal(benchFeature.selectPaused)
  protected readonly dirtySides = this.store.selectSignal(benchFeature.selectDirtySides)
  protected readonly visitDay = computed(() => longDay(this.desk.page()!.visit.date))

  /** Something found on this foot waits for an answer, or lets no shoe be put on. */
  protected stopped = (side: Side): boolean => this.looking.stopsOf(side).some((gate) => gate.side === side)

  /** A foot as the switcher names it: what is done to it, and what is still open. */
  protected footWords(side: Side): string {
    const work = this.work()[side]
    const open = this.dirtySides().includes(side)
    const measured = this.desk.page()?.footRecords.some((record) => record.side === side)
    return [
      SIDE_NAMES[side],
      work ?? (measured ? 'measured' : open ? '' : 'not begun'),
      open ? 'not saved' : '',
      this.paused()[side] !== undefined ? 'paused' : '',
      this.stopped(side) ? 'stop: calls for the vet' : '',
    ]
      .filter(Boolean)
      .join(', ')
  }
}
