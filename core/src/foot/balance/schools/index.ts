import type { BreakoverSchool } from '../school'
import { landmark } from './landmark'
import { perimeter } from './perimeter'
import { radiographic } from './radiographic'
import { thirds } from './thirds'

/** Every school of breakover; a new one is one file, its name in the record and one line here. */
export const BREAKOVER_SCHOOLS: readonly BreakoverSchool[] = [landmark, thirds, radiographic, perimeter]
