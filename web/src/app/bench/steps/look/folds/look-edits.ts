import { computed, inject, Injectable } from '@angular/core'
import {
  SIDES,
  type FootLook,
  type INTERFERENCES,
  type Look,
  type Side,
  type VetNailRule,
} from '@crescent/core'
import { Store } from '@ngrx/store'
import { lookActions, lookFeature } from '../../../../state/look/look.feature'

/** Where the thickness that is left is told. */
export type WornPlace = 'leftToe' | 'leftQuarters' | 'leftOuterHeel' | 'leftInnerHeel'

/** What the folds of Look change. All of it is read as it stands now: a quick hand is ahead of the screen. */
@Injectable({ providedIn: 'root' })
export class LookEdits {
  private readonly store = inject(Store)
  private readonly stored = this.store.selectSignal(lookFeature.selectLook)
  /** What was typed and cannot be read, by field. */
  readonly entries = this.store.selectSignal(lookFeature.selectEntries)
  /** The folds are shown only while a look is open. */
  readonly look = computed((): Look => this.stored()!)

  foot = (side: Side): FootLook => this.look().feet[side]
  /** Fields of the four feet are told apart. */
  key = (side: Side, field: string): string => `${side} ${field}`

  putFoot(side: Side, foot: FootLook, field: string): void {
    this.store.dispatch(lookActions.setFoot({ side, foot, touched: this.key(side, field) }))
  }

  /** One figure or word of a foot; taken away where there is none. */
  setFoot(side: Side, field: keyof FootLook, value: string | boolean | undefined): void {
    const foot = { ...this.foot(side), [field]: value }
    if (value === undefined) delete foot[field]
    this.putFoot(side, foot, field)
    if (field !== 'solePlane') this.settle()
  }

  setWear(side: Side, wear: string | undefined): void {
    const oldShoe = { ...this.foot(side).oldShoe, wear } as FootLook['oldShoe']
    if (wear === undefined) delete oldShoe.wear
    this.putFoot(side, { ...this.foot(side), oldShoe }, 'wear')
    this.settle()
  }

  /** What is left of the old shoe in one place, mm; the field it may also be typed in shows it. */
  setLeft(side: Side, key: WornPlace, left: number | undefined): void {
    const oldShoe = { ...this.foot(side).oldShoe, [key]: left }
    if (left === undefined) delete oldShoe[key]
    this.putFoot(side, { ...this.foot(side), oldShoe }, `old-${key}`)
    this.settle()
  }

  /** A horse may interfere in more than one way. */
  flipInterference(tapped: string): void {
    const choice = tapped as (typeof INTERFERENCES)[number]
    const { ways } = this.look()
    const before = ways.interference
    const interference = before.includes(choice)
      ? before.filter((one) => one !== choice)
      : [...before, choice]
    this.store.dispatch(lookActions.setWays({ ways: { ...ways, interference }, touched: 'interference' }))
    this.settle()
  }

  setWays(field: 'work' | 'going' | 'living' | 'notes', value: string | undefined): void {
    const ways = { ...this.look().ways, [field]: value }
    if (value === undefined) delete (ways as Record<string, unknown>)[field]
    this.store.dispatch(lookActions.setWays({ ways, touched: field }))
    if (field !== 'notes') this.settle()
  }

  setVet(field: Exclude<keyof Look['vet'], 'legs' | 'nails'>, value: string): void {
    const vet = { ...this.look().vet, [field]: value }
    // Another disease may sit in another leg.
    if (field === 'diagnosis') delete vet.legs
    this.store.dispatch(lookActions.setVet({ vet, touched: `vet ${field}` }))
    if (field === 'diagnosis') this.settle()
  }

  /** Where the vet lets nails be driven; nothing: as usual. */
  setVetNails(nails: string | undefined): void {
    const { nails: _before, ...vet } = this.look().vet
    const set = nails === undefined ? vet : { ...vet, nails: nails as VetNailRule }
    this.store.dispatch(lookActions.setVet({ vet: set, touched: 'vet nails' }))
    this.settle()
  }

  flipLeg(tapped: string): void {
    const { vet } = this.look()
    const legs = SIDES.filter((side) => (vet.legs ?? []).includes(side) !== (side === tapped))
    this.store.dispatch(lookActions.setVet({ vet: { ...vet, legs }, touched: 'vet legs' }))
    this.settle()
  }

  /** Keeps what was typed and cannot be read. */
  keep(side: Side, field: string, text: string): void {
    this.store.dispatch(lookActions.setEntry({ field: this.key(side, field), text }))
  }

  settle(): void {
    this.store.dispatch(lookActions.settle())
  }
}

/** One word as the list that a row of choices wants. */
export const asList = (choice: string | undefined): string[] => (choice === undefined ? [] : [choice])
