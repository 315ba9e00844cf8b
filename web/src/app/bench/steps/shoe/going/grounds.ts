import { computed, inject, Injectable, signal } from '@angular/core'
import type { Plan, Vec } from '@crescent/core'
import {
  BODY_WEIGHT,
  groundOf,
  GROUND_RANGES,
  loadMoment,
  newtonsOn,
  PACKING_STIFFNESS,
  pointOf,
  type GoingKey,
  type Ground,
  type LoadMomentKey,
  type Packing,
} from '@crescent/core/going'
import { Desk } from '../../../desk'
import { Shaping } from '../shaping'
import { otherDesigns, type OtherDesign } from './other-designs'
import { isSlider, turnOf } from './sliding'

/** A foot points out of its line by so much at the most, degrees; minus inward. */
const TOE_OUT = [-30, 30] as const

/** What the two designs stand on and under: chosen once for both. */
@Injectable()
export class Grounds {
  private readonly desk = inject(Desk)
  private readonly shaping = inject(Shaping)

  readonly kind = signal<GoingKey>('sand arena')
  /** Stiffness and edge typed instead of the going's. */
  readonly own = signal<Partial<Ground>>({})
  readonly moment = signal<LoadMomentKey>('trot')
  /** Where the load was put by hand. */
  readonly at = signal<Vec | undefined>(undefined)
  readonly typedKg = signal<number | undefined>(undefined)
  readonly pastern = signal<number | undefined>(undefined)
  /** Degrees by which the foot points outward of the line of travel, where it was typed. */
  readonly typedToeOut = signal<number | undefined>(undefined)
  readonly packed = signal<{ mine: Packing['covers'] | 'none'; theirs: Packing['covers'] | 'none' }>({
    mine: 'none',
    theirs: 'none',
  })
  readonly otherKey = signal('')

  readonly ground = computed((): Ground => ({ ...groundOf(this.kind()), ...this.own() }))
  readonly kg = computed(() => this.typedKg() ?? this.knownKg() ?? this.usualKg())
  /** As it stands in the horse's record. */
  readonly knownKg = computed(() => this.desk.page()?.horse.bodyWeight ?? undefined)
  readonly usualKg = computed(() => BODY_WEIGHT.usual[this.desk.page()?.horse.animal ?? 'horse'])
  readonly newtons = computed(() => newtonsOn(this.kg(), this.desk.side(), loadMoment(this.moment())))

  /** Where the load stands under a shoe: where a hand put it, else where the moment of the stride has it. */
  point = (plan: Plan): Vec => this.at() ?? pointOf(plan, loadMoment(this.moment()))

  packing(whose: 'mine' | 'theirs'): Packing | undefined {
    const covers = this.packed()[whose]
    return covers === 'none' ? undefined : { covers, stiffness: PACKING_STIFFNESS }
  }

  /** One of the two is made to slide: how it holds and slips is told of both. */
  readonly slides = computed(() => [this.desk.asked()?.shoe, this.other()?.shoe].some(isSlider))
  /** By how much the last shoe was turned, as its tracks asked for; straight where it never slid. */
  readonly usualToeOut = computed(() => turnOf(this.desk.wears()?.shoe) ?? 0)
  readonly toeOut = computed(() => this.typedToeOut() ?? this.usualToeOut())

  readonly others = computed((): OtherDesign[] => {
    const draft = this.desk.draft()
    return draft ? otherDesigns(draft.shoe, this.shaping.patterns()) : []
  })
  readonly other = computed(() => this.others().find(({ key }) => key === this.otherKey()))

  /** What is wrong with the figures typed here; nothing where all can be. */
  readonly problems = computed((): Partial<Record<'stiffness' | 'edge' | 'kg' | 'toeOut', string>> => {
    const [kg, { stiffness, edge }] = [this.kg(), this.ground()]
    const out = (value: number, [low, high]: readonly [number, number]) => value < low || value > high
    const range = ([low, high]: readonly [number, number]) => `from ${low} to ${high}`
    return {
      ...(stiffness !== Infinity &&
        out(stiffness, GROUND_RANGES.stiffness) && {
          stiffness: `Stiffness: ${range(GROUND_RANGES.stiffness)}`,
        }),
      ...(out(edge, GROUND_RANGES.edge) && { edge: `Edge: ${range(GROUND_RANGES.edge)}` }),
      ...(out(kg, BODY_WEIGHT.range) && { kg: 'weight' }),
      ...(out(this.toeOut(), TOE_OUT) && {
        toeOut: `The angle lies between ${TOE_OUT[0]}° and ${TOE_OUT[1]}°`,
      }),
    }
  })
}
