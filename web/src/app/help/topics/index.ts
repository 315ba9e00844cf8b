import type { HelpTopic } from '../help-topic'
import { again } from './again'
import { begin } from './begin'
import { bench } from './bench'
import { conflict } from './conflict'
import { course } from './course'
import { erase } from './erase'
import { expect } from './expect'
import { finding } from './finding'
import { finish } from './finish'
import { gallery } from './gallery'
import { gate } from './gate'
import { horse } from './horse'
import { horsePage } from './horse-page'
import { iron } from './iron'
import { join } from './join'
import { load } from './load'
import { look } from './look'
import { map } from './map'
import { nail } from './nail'
import { owner } from './owner'
import { photographed } from './photographed'
import { photographs } from './photographs'
import { rack } from './rack'
import { radiograph } from './radiograph'
import { round } from './round'
import { save } from './save'
import { settings } from './settings'
import { shelf } from './shelf'
import { shoe } from './shoe'
import { size } from './size'
import { stable } from './stable'
import { versions } from './versions'
import { traced } from './traced'
import { tryOn } from './try-on'
import { visit } from './visit'

/** Every topic, in the order of the work. */
export const TOPICS: readonly HelpTopic[] = [
  round,
  stable,
  horsePage,
  course,
  expect,
  bench,
  look,
  finding,
  gate,
  map,
  traced,
  photographed,
  photographs,
  radiograph,
  size,
  shoe,
  iron,
  gallery,
  tryOn,
  nail,
  shelf,
  rack,
  again,
  save,
  load,
  versions,
  conflict,
  visit,
  finish,
  horse,
  owner,
  join,
  erase,
  settings,
  begin,
]
