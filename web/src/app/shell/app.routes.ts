import type { Routes } from '@angular/router'

/** The places of the working day; each is loaded when it is first walked to. */
export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'round' },
  {
    path: 'round',
    title: 'Round',
    loadComponent: () => import('../round/round-page').then((m) => m.RoundPage),
  },
  {
    path: 'stable',
    title: 'Stable',
    loadComponent: () => import('../stable/stable-page').then((m) => m.StablePage),
  },
  {
    path: 'stable/:horseId',
    title: 'Horse',
    loadComponent: () => import('../stable/horse-page').then((m) => m.HorsePageView),
  },
  {
    path: 'bench',
    pathMatch: 'full',
    title: 'Bench',
    loadComponent: () => import('../bench/empty-bench').then((m) => m.EmptyBench),
  },
  { path: 'bench/:visitId', pathMatch: 'full', redirectTo: 'bench/:visitId/LF' },
  {
    path: 'bench/:visitId',
    loadChildren: () => import('../bench/bench.routes').then((m) => m.benchRoutes),
  },
  {
    path: 'rack',
    title: 'Rack',
    loadComponent: () => import('../rack/rack-page').then((m) => m.RackPage),
  },
  { path: '**', title: 'Nothing here', loadComponent: () => import('./lost').then((m) => m.Lost) },
]
