import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core'
import { shownIron, type Heat } from '@crescent/core'
import { FigureText } from '../../../drawing/figure-text'
import { browserStore } from '../../../state/browser-store'
import { Desk } from '../../desk'

/** How far the work at the forge has come. */
interface Place {
  /** Whose shoe: visit and foot. */
  whose: string
  step: number
  heats: number
  /** Of these heats, those that were logged with a try of it. */
  logged?: number
}

const KEY = 'forge'
/** Feet whose place is kept. */
const KEPT = 12

/** The work at the forge: which step is done next, and how many heats it took so far. It outlasts a reload. */
@Injectable()
export class Forging {
  private readonly desk = inject(Desk)
  private readonly text = inject(FigureText)

  readonly plan = computed(() => this.desk.told().plan)
  /** As their lengths are written: both branches of the straight bar come to its cut. */
  readonly heats = computed((): readonly Heat[] => {
    const plan = this.plan()
    return plan ? shownIron(plan.iron, this.text.style()).heats : []
  })
  private readonly whose = computed(() => `${this.desk.page()?.visit.id ?? ''} ${this.desk.side()}`)

  private readonly places = signal(browserStore.read<Place[]>(KEY) ?? [])
  private readonly place = computed(
    () =>
      this.places().find(({ whose }) => whose === this.whose()) ?? { whose: this.whose(), step: 0, heats: 0 },
  )
  /** A design with fewer steps ends at its last. */
  readonly step = computed(() => Math.max(0, Math.min(this.place().step, this.heats().length - 1)))
  readonly heat = computed(() => this.heats()[this.step()])
  readonly heatsTaken = computed(() => this.place().heats)
  /** Those that no try was logged with yet. */
  readonly heatsOfTry = computed(() => this.place().heats - (this.place().logged ?? 0))
  readonly atEnd = computed(() => this.step() >= this.heats().length - 1)

  constructor() {
    effect(() => {
      const places = this.places()
      untracked(() => browserStore.write(KEY, places))
    })
  }

  go(by: 1 | -1): void {
    this.put({ step: Math.max(0, Math.min(this.step() + by, this.heats().length - 1)) })
  }

  goTo(step: number): void {
    this.put({ step })
  }

  tookHeat(by: 1 | -1): void {
    this.put({ heats: Math.max(this.place().logged ?? 0, this.heatsTaken() + by) })
  }

  /** A try was logged with the heats so far: the next one begins at none. */
  loggedTry(): void {
    this.put({ logged: this.heatsTaken() })
  }

  /** It is forged: it goes to the foot. */
  allDone(): void {
    this.desk.wanted.set('try')
  }

  private put(change: Partial<Place>): void {
    const now = { ...this.place(), ...change }
    const others = this.places().filter(({ whose }) => whose !== now.whose)
    this.places.set([now, ...others].slice(0, KEPT))
  }
}
