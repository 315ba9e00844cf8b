import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core'
import { FigureText } from '../../../../drawing/figure-text'
import type { Stood } from './stood'

/** What a standing comes to in words: the ground, the fetlock by both schools, the frog through the stride, hold and slip. */
@Component({
  selector: 'cr-going-words',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ name() }}</h3>
    <ul>
      @for (word of words(); track word) {
        <li>{{ word }}</li>
      }
    </ul>
  `,
  styles: `
    h3 {
      margin: 0 0 4px;
      font-size: 1.05rem;
    }
    ul {
      margin: 0;
      padding-left: 1.2em;
      line-height: 1.4;
    }
  `,
})
export class GoingWords {
  readonly name = input.required<string>()
  readonly stood = input.required<Stood>()
  /** It is made to slide, or laid beside one that is. */
  readonly slides = input(false)

  private readonly text = inject(FigureText)

  protected readonly words = computed(() => {
    const stood = this.stood()
    return [
      ...stood.words.map(this.text.told),
      ...this.fetlock(stood),
      ...frogThroughStride(stood),
      ...(this.slides() ? this.slip(stood) : []),
    ]
  })

  private fetlock({ fetlock }: Stood): string[] {
    const { hoof, followed, madeUp, jointRise, limb } = fetlock
    if (Math.abs(hoof) < 0.3) return []
    const pastern = `${this.text.length(limb.pastern)} at ${limb.pasternAngle.toFixed(0)}°${limb.measured ? '' : ', taken, not measured'}`
    const way = (value: number) => `${value > 0 ? 'opens' : 'closes'} by ${Math.abs(value).toFixed(1)}°`
    return [
      `Fetlock (pastern ${pastern}): one school, the pastern turns with the hoof, its angle ${way(followed)}; the other, the knee keeps its height and the fetlock makes up for the ${this.text.fine(Math.abs(jointRise))} that the joint comes ${jointRise > 0 ? 'up, and sinks: it' : 'down: it'} ${way(madeUp)}.`,
    ]
  }

  private slip({ slip }: Stood): string[] {
    return [
      `Slides: its edges push ${this.text.area(slip.ploughed)} of ground ahead of them along the line of travel and hold with ${this.text.area(slip.sideHold)} to the side. Toe ${this.text.length(slip.toeWeb)} wide, ${this.text.length(slip.heelGap)} open between the heels (${Math.round(slip.heelOpen * 100)} % of its widest): ${slip.heelOpen < 0.6 ? 'dirt packs in there' : 'dirt leaves there'}.`,
    ]
  }
}

/** Whether what carries under the frog goes on carrying as the heels leave. */
function frogThroughStride({ stride }: Stood): string[] {
  const at = (key: string) => stride.find((one) => one.key === key)!.shares
  const percent = (value: number) => `${Math.round(value * 100)} %`
  const [trot, leaving] = [at('trot'), at('leaving')]
  return [
    ...(trot.frogPlate === undefined
      ? []
      : [
          `The frog plate carries ${percent(trot.frogPlate)} at mid-stance and ${percent(leaving.frogPlate ?? 0)} of what the ground gives as the heels leave; welded to the bar it stays against the frog all through the stride.`,
        ]),
    ...(trot.packing === undefined
      ? []
      : [
          `Packing carries ${percent(trot.packing)} at mid-stance and ${percent(leaving.packing ?? 0)} as the heels leave: nothing but the ground holds it up, so the frog loses it when the shoe tilts off.`,
        ]),
  ]
}
