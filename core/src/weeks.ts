// The front door to what weeks do to shoe and foot: wear, growth, drift, the cycle that is proposed.
export { forecast, type FootForecast, type Forecast, type ForecastOf, type Likely } from './weeks/forecast'
export { intervalsOf, type History, type Interval } from './weeks/intervals'
export { ALLOWED_DRIFT, proposedCycle, type CycleLimit, type ProposedCycle } from './weeks/cycle'
export { THROUGH_AT, type Through, type Wear } from './weeks/wear'
export type { Holding } from './weeks/holding'
export type { Rate } from './weeks/rate'
