// The front door to what was planned on a radiograph and goes onto a shoe: the ways, and the shoe that comes of one.
export { CARRIED_OUT, proposedWay, type CarriedOut } from './handing-over/ways'
export { handOver, type HandedOver, type HandOver, type MadeAsPlanned } from './handing-over/hand-over'
