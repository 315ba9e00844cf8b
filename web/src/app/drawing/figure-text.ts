import { inject, Injectable } from '@angular/core'
import {
  describeProblem,
  formatDifference,
  formatArea,
  formatFigure,
  formatLength,
  figureStep,
  formatWeight,
  roundLength,
  writeTold,
  type FigureKind,
  type Problem,
  type Told,
} from '@crescent/core/text'
import { Store } from '@ngrx/store'
import { settingsFeature } from '../state/settings/settings.feature'

/** A written length in its parts, so that only the fraction is set as one. */
export interface LengthParts {
  whole: string
  fraction: string
  sign: string
}

/** Writes figures in the unit that is chosen; what reads it in a template follows a change of unit. */
@Injectable({ providedIn: 'root' })
export class FigureText {
  private readonly store = inject(Store)
  readonly style = this.store.selectSignal(settingsFeature.selectLengthStyle)

  length = (mm: number): string => formatLength(mm, this.style())
  parts = (mm: number): LengthParts => {
    const [, whole = '', fraction = '', sign = ''] =
      /^([\d.]*)\s*(\d+\/\d+)?(.*)$/.exec(this.length(mm)) ?? []
    // A fraction alone, 7/8, is all fraction: the first digits belong to it.
    const alone = /^(\d+\/\d+)(.*)$/.exec(this.length(mm))
    return alone ? { whole: '', fraction: alone[1]!, sign: alone[2]! } : { whole, fraction, sign }
  }
  /** Several lengths together: what is written is the sum of what is written of each. */
  sum = (all: readonly number[]): string =>
    this.length(all.reduce((sum, mm) => sum + roundLength(mm, this.style()), 0))
  bare = (mm: number): string => formatLength(mm, this.style(), false)
  difference = (mm: number): string => formatDifference(mm, this.style())

  /** How far a heel runs past where it should end, mm: `1/4" left over`, `5/16" short`, `right`. */
  heelLeft = (mm: number): string =>
    Math.abs(mm) < this.step('length') / 2
      ? 'right'
      : `${this.length(Math.abs(mm))} ${mm > 0 ? 'left over' : 'short'}`
  weight = (grams: number): string => formatWeight(grams, this.style().unit)
  /** An area, mm2. */
  area = (mm2: number): string => formatArea(mm2, this.style().unit)
  /** A thickness, or what is smaller than a rule shows. */
  fine = (mm: number): string => this.told([{ length: mm, as: 'fine' }])
  figure = (value: number, kind: FigureKind): string => formatFigure(value, kind, this.style())
  /** By how much a key moves a figure. */
  step = (kind: FigureKind): number => figureStep(kind, this.style())
  /** A sentence with its lengths in the chosen unit. */
  told = (sentence: Told): string => writeTold(sentence, this.style())
  /** What is wrong, in words. */
  problem = (problem: Problem): string => describeProblem(problem, this.style())
}
