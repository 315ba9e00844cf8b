import type { BenchStep } from '../bench-step'
import { IRON } from './iron/step'
import { LOOK } from './look/step'
import { MAP } from './map/step'
import { NAIL } from './nail/step'
import { SIZE } from './size/step'
import { SHOE } from './shoe/step'
import { TRY } from './try/step'

/** The steps of the Bench in the order of the work. Another is a folder beside these and a line here. */
export const STEPS: readonly [BenchStep, ...BenchStep[]] = [LOOK, MAP, SIZE, SHOE, IRON, TRY, NAIL]
