import type { Routes } from '@angular/router'
import { provideEffects } from '@ngrx/effects'
import { provideState } from '@ngrx/store'
import * as benchEffects from '../state/bench/bench.effects'
import * as savingEffects from '../state/bench/saving.effects'
import * as visitEffects from '../state/bench/visit.effects'
import { benchFeature } from '../state/bench/bench.feature'
import * as lookEffects from '../state/look/look.effects'
import { lookFeature } from '../state/look/look.feature'
import { BenchPage } from './bench-page'

/** The Bench of one visit, with the state only it needs. */
export const benchRoutes: Routes = [
  {
    path: ':side',
    title: 'Bench',
    component: BenchPage,
    providers: [
      provideState(benchFeature),
      provideState(lookFeature),
      provideEffects(benchEffects, savingEffects, visitEffects, lookEffects),
    ],
  },
]
