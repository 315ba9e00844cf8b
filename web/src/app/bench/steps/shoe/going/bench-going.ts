import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core'
import { planShoe, type Plan, type Problem } from '@crescent/core'
import { FigureText } from '../../../../drawing/figure-text'
import { tryPlan } from '../../../../state/bench/planning'
import { Desk } from '../../../desk'
import { GoingAsked } from './going-asked'
import { GoingWords } from './going-words'
import { Grounds } from './grounds'
import { slickerOf, turnWords } from './sliding'
import { Stander } from './stander'
import { StandingFigures } from './standing-figures'
import { StoodShoe } from './stood-shoe'
import type { AskedStanding, Standing, Stood } from './stood'

/** ms a hand must rest before it is worked out anew. */
const REST = 120

/** How the shoe on the Bench stands in the ground, and another design beside it on the same ground. */
@Component({
  selector: 'cr-bench-going',
  imports: [GoingAsked, GoingWords, StandingFigures, StoodShoe],
  providers: [Grounds],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section tabindex="0" aria-label="How the shoe stands in the ground">
      <cr-going-asked />
      @for (word of problems(); track word) {
        <p class="wrong" role="alert">{{ word }}</p>
      }
      @if (mine(); as stood) {
        <div class="shoes" [class.both]="theirs()" [class.old]="waiting()">
          <cr-stood-shoe
            name="This shoe"
            [plan]="desk.plan()!"
            [side]="desk.side()"
            [stood]="stood"
            [alone]="!theirs()"
            [load]="grounds.point(desk.plan()!)"
            (moved)="grounds.at.set($event)"
          />
          @if (theirs(); as other) {
            <cr-stood-shoe
              [name]="otherName()"
              [plan]="otherPlan()!"
              [side]="desk.side()"
              [stood]="other"
              [load]="grounds.point(otherPlan()!)"
              (moved)="grounds.at.set($event)"
            />
          }
        </div>
        <p class="note">
          Deeper is darker and hatched closer. Tap where the load stands, or drag it. A rigid shoe on ground
          that gives by its depth, as assumed: for comparing designs. How the horse goes decides.
        </p>
        <div class="told">
          <cr-standing-figures
            mineName="This shoe"
            [theirsName]="otherName()"
            [mine]="stood"
            [theirs]="theirs()"
          />
          <div class="words" aria-live="polite">
            <cr-going-words name="This shoe" [stood]="stood" [slides]="grounds.slides()" />
            @if (theirs(); as other) {
              <cr-going-words [name]="otherName()" [stood]="other" [slides]="grounds.slides()" />
            }
            @if (grounds.slides()) {
              <p>{{ sliding() }}</p>
            }
          </div>
        </div>
      } @else if (problems().length === 0) {
        <p class="note" role="status">Working it out …</p>
      }
    </section>
  `,
  styles: `
    :host {
      display: block;
      min-height: 0;
      padding-top: 56px;
      background: var(--paper);
    }
    section {
      display: grid;
      gap: 10px;
      align-content: start;
      height: 100%;
      padding: 4px 16px 20px;
      overflow-y: auto;
    }
    .shoes {
      display: grid;
      gap: 20px;
    }
    .shoes.both {
      grid-template-columns: repeat(2, minmax(0, 1fr));
    }
    .shoes.old {
      opacity: 0.6;
    }
    .told {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
      gap: 20px;
    }
    .words {
      display: grid;
      gap: 12px;
      align-content: start;
    }
    .note {
      max-width: 72ch;
      margin: 0 auto;
      font-size: 0.88rem;
      color: var(--ink-soft);
    }
    .wrong {
      margin: 0;
      font-weight: 600;
      color: var(--stop);
    }
    @media (max-width: 819px), (max-height: 519px) {
      :host {
        padding-top: 0;
      }
      .shoes.both {
        gap: 8px;
      }
    }
  `,
})
export class BenchGoing {
  protected readonly desk = inject(Desk)
  protected readonly grounds = inject(Grounds)
  private readonly stander = inject(Stander)
  private readonly text = inject(FigureText)

  private readonly standings = signal<{ mine?: Standing; theirs?: Standing }>({})
  protected readonly waiting = signal(false)
  protected readonly mine = computed(() => stoodOf(this.standings().mine))
  protected readonly theirs = computed(() =>
    this.otherPlan() ? stoodOf(this.standings().theirs) : undefined,
  )
  protected readonly otherName = computed(() => this.grounds.other()?.label ?? '')

  /** The other design on this foot. */
  private readonly otherPlanning = computed(() => {
    const [other, asked] = [this.grounds.other(), this.desk.asked()]
    return other && asked && tryPlan(() => planShoe(asked.foot, other.shoe, asked.workshop))
  })
  protected readonly otherPlan = computed(() => this.otherPlanning()?.plan)

  protected readonly problems = computed(() => {
    const { mine, theirs } = this.standings()
    const said = (standing: Standing | undefined): readonly Problem[] =>
      standing && !standing.ok ? standing.problems : []
    return [
      ...new Set(
        [...said(mine), ...said(theirs), ...(this.otherPlanning()?.problems ?? [])].map(this.text.problem),
      ),
    ]
  })

  private readonly asked = computed((): { mine: AskedStanding; theirs?: AskedStanding } | undefined => {
    const [asked, plan, grounds] = [this.desk.asked(), this.desk.planning().plan, this.grounds]
    if (!asked || !plan || Object.keys(grounds.problems()).length > 0) return undefined
    const pastern = grounds.pastern()
    const common = (on: Plan, packed: 'mine' | 'theirs') => {
      const packing = grounds.packing(packed)
      return {
        ...{ foot: asked.foot, workshop: asked.workshop, ground: grounds.ground(), kg: grounds.kg() },
        load: { newtons: grounds.newtons(), at: grounds.point(on) },
        ...(packing && { packing }),
        ...(pastern !== undefined && { pastern }),
        ...(grounds.slides() && { toeOut: grounds.toeOut() }),
      }
    }
    const [other, otherPlan] = [grounds.other(), this.otherPlan()]
    return {
      mine: { ...common(plan, 'mine'), shoe: asked.shoe },
      ...(other && otherPlan && { theirs: { ...common(otherPlan, 'theirs'), shoe: other.shoe } }),
    }
  })

  constructor() {
    effect((onCleanup) => {
      const asked = this.asked()
      if (!asked) return
      let newest = true
      this.waiting.set(true)
      // Not while a hand moves: once it rests.
      const rest = setTimeout(() => {
        void Promise.all([
          this.stander.ask(asked.mine),
          asked.theirs ? this.stander.ask(asked.theirs) : undefined,
        ]).then(([mine, theirs]) => {
          if (!newest) return
          this.standings.set({ mine, ...(theirs && { theirs }) })
          this.waiting.set(false)
        })
      }, REST)
      onCleanup(() => {
        newest = false
        clearTimeout(rest)
      })
    })
  }

  /** Which of two is the slicker, and how far a shoe that slides may be turned. */
  protected readonly sliding = computed(() => {
    const [mine, theirs] = [this.mine(), this.theirs()]
    return [
      ...(mine && theirs ? [slickerOf(mine.slip, theirs.slip, this.otherName())] : []),
      ...turnWords(
        this.desk.plan()?.modifications ?? [],
        this.desk.asked()?.shoe,
        this.desk.wears()?.shoe,
        this.grounds.toeOut(),
      ),
    ].join(' ')
  })
}

const stoodOf = (standing: Standing | undefined): Stood | undefined =>
  standing?.ok ? standing.stood : undefined
