import { computed, inject, Injectable, signal } from '@angular/core'
import { toObservable, toSignal } from '@angular/core/rxjs-interop'
import { COMMON_SECTIONS, type FootInput, type FoundPattern } from '@crescent/core'
import { catchError, debounceTime, filter, of, switchMap, take, type OperatorFunction } from 'rxjs'
import { Api, failureText, type NearPattern } from '../../state/api'

/** Patterns by shape are told so many: the first of them is what is looked for. */
const NEAREST = 12

/** Whose patterns are looked through: this horse's, those of all by words, or of all by the shape of the foot. */
export type Whose = 'own' | 'all' | 'like'

/** What is asked for among the patterns of all horses. */
interface Asked {
  search: string
  modification: string
  bar: string
  tag: string
}

/** Patterns of all horses as they are looked for: by words, and by the shape of the foot on the Bench. */
@Injectable()
export class PatternsFound {
  private readonly api = inject(Api)
  private readonly asked = signal<Asked>({ search: '', modification: '', bar: '', tag: '' })
  /** The foot on the Bench, where it can be read, and how wide it is, mm. */
  readonly foot = signal<FootInput | undefined>(undefined)
  readonly footWidth = signal<number | undefined>(undefined)
  readonly from = signal<Whose>('own')
  readonly failure = signal('')

  /** Asked for once; without an answer there is nothing to choose from, and no harm. */
  readonly tags = toSignal(this.api.patternTags().pipe(catchError(() => of([]))), {
    initialValue: [] as string[],
  })
  readonly found = toSignal(
    toObservable(computed(() => (this.from() === 'all' ? this.asked() : undefined))).pipe(
      debounceTime(150),
      switchMap((asked) => (asked ? this.look(asked) : of([]))),
    ),
    { initialValue: [] as FoundPattern[] },
  )
  /** Asked for once, when it is first looked at: the foot does not change meanwhile. */
  readonly near = toSignal(
    toObservable(computed(() => this.from() === 'like')).pipe(
      filter((asked) => asked && this.foot() !== undefined),
      take(1),
      switchMap(() => this.api.nearestPatterns(this.foot()!, NEAREST).pipe(this.told<NearPattern>())),
    ),
    { initialValue: [] as NearPattern[] },
  )

  change(changes: Partial<Asked>): void {
    this.asked.update((asked) => ({ ...asked, ...changes }))
  }

  private look({ search, modification, bar, tag }: Asked) {
    const section = COMMON_SECTIONS.find(({ name }) => name === bar)?.section
    this.failure.set('')
    return this.api
      .findPatterns({ search, modification, tag, section, width: this.footWidth() })
      .pipe(this.told<FoundPattern>())
  }

  /** Nothing where the server does not answer, and why. */
  private told<T>(): OperatorFunction<T[], T[]> {
    return catchError((error: unknown) => {
      this.failure.set(failureText(error))
      return of([])
    })
  }
}
