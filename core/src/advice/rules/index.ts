import type { AdviceRule } from '../advice'
import { abscess } from './abscess'
import { contracted } from './contracted'
import { cycle } from './cycle'
import { founder } from './founder'
import { frog } from './frog'
import { going } from './going'
import { heels } from './heels'
import { interference } from './interference'
import { landing } from './landing'
import { navicular } from './navicular'
import { sole } from './sole'
import { surgery } from './surgery'
import { suspensory } from './suspensory'
import { wall } from './wall'
import { work } from './work'

/** Every rule, the vet's matters first; a new theme is one file and one line here. */
export const ADVICE_RULES: readonly AdviceRule[] = [
  ...abscess,
  ...founder,
  ...suspensory,
  ...navicular,
  ...surgery,
  ...contracted,
  ...heels,
  ...wall,
  ...sole,
  ...frog,
  ...landing,
  ...interference,
  ...work,
  ...going,
  ...cycle,
]
