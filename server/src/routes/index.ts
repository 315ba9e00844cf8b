import type { Route } from '../http/route'
import { erasingRoutes } from './erasing'
import { healthRoutes } from './health'
import { horseRoutes } from './horses'
import { joiningRoutes } from './joining'
import { lookRoutes } from './looks'
import { nailRoutes } from './nails'
import { ownerRoutes } from './owners'
import { patternRoutes } from './patterns'
import { planRoutes } from './plan'
import { practiceRoutes } from './practice'
import { roundRoutes } from './round'
import { safekeepingRoutes } from './safekeeping'
import { visitRoutes } from './visits'
import { workshopRoutes } from './workshop'

/** Every route; a new resource is one file and one line here. */
export const routes: readonly Route[] = [
  ...healthRoutes,
  ...planRoutes,
  ...practiceRoutes,
  ...roundRoutes,
  ...ownerRoutes,
  ...horseRoutes,
  ...joiningRoutes,
  ...erasingRoutes,
  ...visitRoutes,
  ...lookRoutes,
  ...patternRoutes,
  ...nailRoutes,
  ...workshopRoutes,
  ...safekeepingRoutes,
]
