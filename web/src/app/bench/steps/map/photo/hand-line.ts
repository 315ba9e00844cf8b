import { computed, signal } from '@angular/core'
import type { Vec } from '@crescent/core'
import { withKnot, withoutKnot } from '@crescent/core/photographs'

/** Lines of a hand that can be taken back. */
const KEPT = 50

/** A line of knots that a hand pulls, adds to and takes from, each of it taken back step by step; mm in its plane. */
export class HandLine {
  /** A knot was taken hold of, and not pulled yet. */
  private held = false
  private readonly past = signal<readonly (readonly Vec[])[]>([])
  readonly knots = signal<readonly Vec[]>([])
  /** A hand was at it, and can take it back. */
  readonly canUndo = computed(() => this.past().length > 0)

  /** A line that was followed anew: nothing of it is by hand. */
  start(knots: readonly Vec[]): void {
    this.past.set([])
    this.held = false
    this.knots.set(knots)
  }

  /** The line a hand drew before, in place of the one that was followed. */
  draw(knots: readonly Vec[]): void {
    this.keepPast()
    this.knots.set(knots)
  }

  /** Takes hold of a knot: what it was is kept once for the whole pull, and only where it is pulled. */
  hold(): void {
    this.held = true
  }

  pull(at: number, place: Vec): void {
    if (this.held) this.keepPast()
    this.knots.update((knots) => knots.map((knot, i) => (i === at ? place : knot)))
  }

  private keepPast(): void {
    this.held = false
    this.past.update((past) => [...past.slice(-KEPT), this.knots()])
  }

  /** Puts a knot in where the line is nearest to a place. */
  add(place: Vec): void {
    this.draw(withKnot(this.knots(), place).knots)
  }

  remove(at: number): void {
    this.draw(withoutKnot(this.knots(), at))
  }

  /** @returns whether there was anything to take back */
  undo(): boolean {
    const before = this.past().at(-1)
    if (!before) return false
    this.past.update((past) => past.slice(0, -1))
    this.knots.set(before)
    return true
  }

  /** The same line in another plane: what a hand drew stays where it was seen. */
  carry(by: (place: Vec) => Vec): void {
    this.knots.update((knots) => knots.map(by))
    this.past.update((past) => past.map((knots) => knots.map(by)))
  }
}
