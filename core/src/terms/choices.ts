/** What is chosen, not written, when a horse is looked at: each list in the order it is offered. */
export const WORKS = [
  'riding',
  'jumping',
  'racing',
  'endurance',
  'driving on roads',
  'hauling',
  'sliding and turning',
  'packing',
  'retired',
] as const
export const GOINGS = ['soft arena', 'grass', 'road', 'rock', 'mud', 'mixed'] as const
export const LIVINGS = ['stall', 'alone at grass', 'in a herd', 'in a muddy herd'] as const
/** Shoulder, knee, cannon, pastern and middle of the foot, seen from in front. */
export const FRONT_LINES = [
  'on one line',
  'toes in',
  'toes out',
  'base narrow',
  'base wide',
  'offset knee',
] as const
/** The limb seen from its side. */
export const SIDE_LINES = [
  'plumb',
  'stands under',
  'stands out ahead',
  'back at the knee',
  'over at the knee',
] as const
export const LANDINGS = ['level', 'outside first', 'inside first', 'toe first', 'heel first'] as const
export const INTERFERENCES = ['brushes', 'overreaches', 'forges', 'cross-fires'] as const
export const WEARS = ['even', 'toe', 'outside', 'inside', 'heels', 'worn through'] as const
/** How a shoe that was lost or loose came to it, as far as can be told. */
export const LOSS_REASONS = [
  'stepped off',
  'pulled in mud',
  'nails worn or broken',
  'wall broke away',
  'caught on something',
  'worn through',
  'not known',
] as const
/** A suspensory strain and other words of the vet on which rules lean; the rest is free text. */
export const DIAGNOSES = [
  'none',
  'founder',
  'suspensory strain',
  'navicular pain',
  'tendon injury',
  'wall or sole surgery',
  'other',
] as const

export type Work = (typeof WORKS)[number]
export type Living = (typeof LIVINGS)[number]
export type Going = (typeof GOINGS)[number]
export type LossReason = (typeof LOSS_REASONS)[number]
export type Landing = (typeof LANDINGS)[number]
export type Interference = (typeof INTERFERENCES)[number]
export type Diagnosis = (typeof DIAGNOSES)[number]
