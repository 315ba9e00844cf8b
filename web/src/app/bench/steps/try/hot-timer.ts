import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core'
import { HOT_SEATING } from '@crescent/core/anvil'

const { contact: CONTACT, round: ROUND } = HOT_SEATING

/** How long a seating hot shoe may lie on the foot: seen, and heard at the end. */
@Component({
  selector: 'cr-hot-timer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="clock"
      [class.on]="phase() === 'contact'"
      [class.off]="phase() === 'lift'"
      role="timer"
      aria-live="assertive"
    >
      <strong>{{ left() }}</strong>
      <span>{{ words() }}</span>
    </div>
    <button type="button" class="tap" (click)="running() ? stop() : start()">
      {{ running() ? 'Stop' : 'Shoe on the foot' }}
    </button>
  `,
  styles: `
    :host {
      display: flex;
      gap: 10px;
      align-items: center;
    }
    .clock {
      display: flex;
      flex: 1;
      gap: 10px;
      align-items: baseline;
      padding: 6px 12px;
      border: 1.5px solid var(--rule);
      border-radius: 6px;
    }
    strong {
      min-width: 2ch;
      font-size: 1.8rem;
      font-variant-numeric: tabular-nums;
    }
    .on {
      background: var(--ember-wash);
      border-color: var(--ember);
    }
    .off {
      background: var(--stop-wash);
      border-color: var(--stop);
    }
  `,
})
export class HotTimer {
  private readonly from = signal<number | undefined>(undefined)
  private readonly now = signal(0)
  private ticking: ReturnType<typeof setInterval> | undefined
  private sound: AudioContext | undefined

  protected readonly running = computed(() => this.from() !== undefined)
  private readonly gone = computed(() => Math.max(0, (this.now() - (this.from() ?? this.now())) / 1000))
  protected readonly phase = computed(() => {
    if (!this.running()) return 'ready'
    return this.gone() < CONTACT ? 'contact' : 'lift'
  })
  protected readonly left = computed(() => {
    if (!this.running()) return CONTACT
    return Math.ceil(this.gone() < CONTACT ? CONTACT - this.gone() : ROUND - this.gone())
  })
  protected readonly words = computed(
    () =>
      ({
        ready: `seconds of contact in any ${ROUND}`,
        contact: 'seconds, then lift',
        lift: 'lift it: seconds until it may lie again',
      })[this.phase()],
  )

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stop())
  }

  protected start(): void {
    // A sound may only be made after a tap: it is got ready now.
    this.sound ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext()
    this.from.set(performance.now())
    this.now.set(performance.now())
    let lifted = false
    this.ticking = setInterval(() => {
      this.now.set(performance.now())
      if (!lifted && this.gone() >= CONTACT) {
        lifted = true
        this.beep()
      }
      if (this.gone() >= ROUND) this.stop()
    }, 200)
  }

  protected stop(): void {
    clearInterval(this.ticking)
    this.from.set(undefined)
  }

  private beep(): void {
    const { sound } = this
    if (!sound) return
    const tone = sound.createOscillator()
    tone.frequency.value = 880
    tone.connect(sound.destination)
    tone.start()
    tone.stop(sound.currentTime + 0.6)
  }
}
