import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core'
import { BODY_WEIGHT, fromHeavyUnit, heavyUnit, inHeavyUnit } from '@crescent/core'
import { GOINGS, LOAD_MOMENTS, type GoingKey, type LoadMomentKey, type Packing } from '@crescent/core/going'
import { FigureText } from '../../../../drawing/figure-text'
import { FigureField } from '../../../figure-field'
import { Grounds } from './grounds'

/** What the designs stand on and under, and what else is looked at beside this one. */
@Component({
  selector: 'cr-going-asked',
  imports: [FigureField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="chosen">
      <label
        >Ground
        <select #ground (change)="take(ground.value)">
          @for (one of goings; track one.key) {
            <option [value]="one.key" [selected]="one.key === grounds.kind()">{{ one.label }}</option>
          }
        </select>
      </label>
      <label
        >Moment
        <select #moment (change)="takeMoment(moment.value)">
          @for (one of moments; track one.key) {
            <option [value]="one.key" [selected]="one.key === grounds.moment()">{{ one.label }}</option>
          }
        </select>
      </label>
      <label
        >Beside it
        <select #other (change)="grounds.otherKey.set(other.value)">
          <option value="">nothing</option>
          @for (one of grounds.others(); track one.key) {
            <option [value]="one.key" [selected]="one.key === grounds.otherKey()">{{ one.label }}</option>
          }
        </select>
      </label>
    </div>
    <details class="fold">
      <summary>Load, packing and how the ground gives</summary>
      <div class="figures" data-fields>
        <cr-figure-field
          field="going-weight"
          kind="number"
          [label]="'The horse weighs, ' + heavy()"
          [note]="weightNote()"
          where="Each moment has its share of it on one foot (from memory)."
          [value]="shownKg()"
          [assumed]="usualKg()"
          [entry]="entries['kg']"
          [problem]="grounds.problems().kg ? weightRange() : undefined"
          (figure)="weigh($event)"
          (unread)="entries['kg'] = $event"
        />
        <cr-figure-field
          field="going-stiffness"
          kind="number"
          label="Stiffness, N/mm³"
          note="an assumption, no source"
          where="Load for a square millimetre of bearing and a millimetre of sink."
          [value]="grounds.own().stiffness"
          [assumed]="finite(stiffness())"
          [entry]="entries['stiffness']"
          [problem]="grounds.problems().stiffness"
          (figure)="set('stiffness', $event)"
          (unread)="entries['stiffness'] = $event"
        />
        <cr-figure-field
          field="going-edge"
          kind="number"
          label="Hold at the edges, N/mm²"
          note="an assumption, no source"
          where="Load for a millimetre of edge and a millimetre of sink: what roots and clay hold against being cut."
          [value]="grounds.own().edge"
          [assumed]="edge()"
          [entry]="entries['edge']"
          [problem]="grounds.problems().edge"
          (figure)="set('edge', $event)"
          (unread)="entries['edge'] = $event"
        />
        <cr-figure-field
          field="going-pastern"
          kind="length"
          label="Length of the pastern"
          where="From the middle of the coffin joint to the middle of the fetlock: for the fetlock’s angle."
          [value]="grounds.pastern()"
          [entry]="entries['pastern']"
          (figure)="setPastern($event)"
          (unread)="entries['pastern'] = $event"
        />
        @if (grounds.slides()) {
          <cr-figure-field
            field="going-toe-out"
            kind="angle"
            label="The foot points out of its line by"
            where="Between the foot and the way it slides, as its tracks tell; minus where it points inward. How the shoe holds and slips is told along that line."
            [note]="grounds.typedToeOut() === undefined ? 'as the last shoe was turned' : 'typed here'"
            [value]="grounds.typedToeOut()"
            [assumed]="grounds.usualToeOut()"
            [entry]="entries['toe-out']"
            [problem]="grounds.problems().toeOut"
            (figure)="setToeOut($event)"
            (unread)="entries['toe-out'] = $event"
          />
        }
        @for (whose of grounds.other() ? both : [both[0]]; track whose.key) {
          <label class="pack"
            >Packing under {{ whose.label }}
            <select #packing (change)="pack(whose.key, packing.value)">
              @for (one of packings; track one.key) {
                <option [value]="one.key" [selected]="one.key === grounds.packed()[whose.key]">
                  {{ one.label }}
                </option>
              }
            </select>
          </label>
        }
        @if (grounds.at()) {
          <button type="button" class="tap" (click)="grounds.at.set(undefined)">
            Load back to where the moment has it
          </button>
        }
      </div>
    </details>
  `,
  styles: `
    .chosen {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
      gap: 8px 14px;
    }
    label {
      display: grid;
      gap: 3px;
      font-weight: 600;
    }
    select {
      width: 100%;
      min-height: 44px;
      padding: 0 8px;
      font: inherit;
      color: inherit;
      background: var(--sheet);
      border: 1.5px solid var(--rule-strong);
      border-radius: 6px;
    }
    .figures {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(260px, 1fr));
      gap: 4px 24px;
      align-items: start;
      padding-top: 8px;
    }
  `,
})
export class GoingAsked {
  protected readonly grounds = inject(Grounds)
  private readonly text = inject(FigureText)
  protected readonly goings = GOINGS
  protected readonly moments = LOAD_MOMENTS
  protected readonly both = [
    { key: 'mine', label: 'this shoe' },
    { key: 'theirs', label: 'the one beside it' },
  ] as const
  protected readonly packings = [
    { key: 'none', label: 'none' },
    { key: 'frog', label: 'the frog' },
    { key: 'sole', label: 'sole and frog, from the frog’s point back' },
  ]
  /** What was typed and is no figure, by field. */
  protected readonly entries: Record<string, string> = {}

  protected readonly stiffness = computed(
    () => GOINGS.find(({ key }) => key === this.grounds.kind())!.stiffness,
  )
  protected readonly edge = computed(() => GOINGS.find(({ key }) => key === this.grounds.kind())!.edge)
  protected readonly heavy = computed(() => heavyUnit(this.text.style().unit))
  protected readonly shownKg = computed(() => this.written(this.grounds.typedKg() ?? this.grounds.knownKg()))
  protected readonly usualKg = computed(() => this.written(this.grounds.usualKg()))
  protected readonly weightNote = computed(() =>
    this.grounds.typedKg() !== undefined
      ? 'typed here'
      : this.grounds.knownKg() !== undefined
        ? 'as it stands in its record'
        : 'as is usual; set it on its page',
  )
  protected readonly weightRange = computed(
    () =>
      `It lies between ${this.written(BODY_WEIGHT.range[0])} and ${this.written(BODY_WEIGHT.range[1])} ${this.heavy()}`,
  )

  protected finite = (value: number): number | undefined => (Number.isFinite(value) ? value : undefined)
  private written(kg: number): number
  private written(kg: number | undefined): number | undefined
  private written(kg: number | undefined): number | undefined {
    return kg === undefined ? undefined : Math.round(inHeavyUnit(kg, this.text.style().unit))
  }

  protected take(kind: string): void {
    this.grounds.kind.set(kind as GoingKey)
    // Figures typed for another ground are not this one's.
    this.grounds.own.set({})
  }

  protected takeMoment(moment: string): void {
    this.grounds.moment.set(moment as LoadMomentKey)
    this.grounds.at.set(undefined)
  }

  protected weigh(value: number | undefined): void {
    delete this.entries['kg']
    this.grounds.typedKg.set(value === undefined ? undefined : fromHeavyUnit(value, this.text.style().unit))
  }

  protected setPastern(value: number | undefined): void {
    delete this.entries['pastern']
    this.grounds.pastern.set(value)
  }

  protected setToeOut(value: number | undefined): void {
    delete this.entries['toe-out']
    this.grounds.typedToeOut.set(value)
  }

  protected set(key: 'stiffness' | 'edge', value: number | undefined): void {
    delete this.entries[key]
    this.grounds.own.update(({ [key]: _old, ...rest }) =>
      value === undefined ? rest : { ...rest, [key]: value },
    )
  }

  protected pack(whose: 'mine' | 'theirs', covers: string): void {
    this.grounds.packed.update((packed) => ({ ...packed, [whose]: covers as Packing['covers'] | 'none' }))
  }
}
