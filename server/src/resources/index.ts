import type { Route } from '../http/route'
import { calendarRoutes } from './calendar/routes'
import { drawnRoutes } from './drawn/routes'
import { erasingRoutes } from './erasing/routes'
import { fittingRoutes } from './fitting/routes'
import { healthRoutes } from './health/routes'
import { horseRoutes } from './horses/routes'
import { jobRoutes } from './jobs/routes'
import { joiningRoutes } from './joining/routes'
import { libraryOfHorseRoutes } from './library/routes'
import { lookRoutes } from './looks/routes'
import { nailRoutes } from './nails/routes'
import { outlineRoutes } from './outlines/routes'
import { ownerRoutes } from './owners/routes'
import { patternFileRoutes } from './pattern-files/routes'
import { patternRoutes } from './patterns/routes'
import { photographRoutes } from './photographs/routes'
import { pictureRoutes } from './pictures/routes'
import { planRoutes } from './plan/routes'
import { practiceRoutes } from './practice/routes'
import { callRoutes } from './calls/routes'
import { courseRoutes } from './courses/routes'
import { forecastRoutes } from './forecast/routes'
import { goingRoutes } from './going/routes'
import { radiographRoutes } from './radiographs/routes'
import { roundRoutes } from './round/routes'
import { safekeepingRoutes } from './safekeeping/routes'
import { sheetRoutes } from './sheets/routes'
import { sizeRoutes } from './sizes/routes'
import { tryRoutes } from './tries/routes'
import { visitRoutes } from './visits/routes'
import { workshopRoutes } from './workshop/routes'

/** Every route; a new resource is one file and one line here. */
export const routes: readonly Route[] = [
  ...healthRoutes,
  ...planRoutes,
  ...practiceRoutes,
  ...roundRoutes,
  ...ownerRoutes,
  ...horseRoutes,
  ...libraryOfHorseRoutes,
  ...joiningRoutes,
  ...erasingRoutes,
  ...visitRoutes,
  ...lookRoutes,
  ...patternFileRoutes,
  ...patternRoutes,
  ...outlineRoutes,
  ...photographRoutes,
  ...drawnRoutes,
  ...sheetRoutes,
  ...calendarRoutes,
  ...courseRoutes,
  ...callRoutes,
  ...forecastRoutes,
  ...goingRoutes,
  ...radiographRoutes,
  ...nailRoutes,
  ...sizeRoutes,
  ...fittingRoutes,
  ...tryRoutes,
  ...jobRoutes,
  ...pictureRoutes,
  ...workshopRoutes,
  ...safekeepingRoutes,
]
