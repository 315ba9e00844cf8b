// npm start -- --empty: sets the demo aside, so that an empty practice is opened; a practice of one's own stays.
import { existsSync } from 'node:fs'
import { readConfig } from '../config'
import {
  asideFile,
  closeWhole,
  finishExchange,
  moveDatabase,
  swapAside,
  whatLiesAside,
} from '../resources/safekeeping/aside'
import { databaseFile } from '../database/open'
import { openPractice } from '../practice'
import { finishSwap } from '../database/swap'
import { failPlainly } from './plainly'

try {
  const { dataFolder } = readConfig()
  finishSwap(dataFolder)
  finishExchange(dataFolder)
  begin(dataFolder, databaseFile(dataFolder))
} catch (error) {
  failPlainly(error)
}

function begin(dataFolder: string, file: string): void {
  if (!existsSync(file)) return console.log('There is no data yet: an empty practice is opened')
  const practice = openPractice(file)
  const { demo } = practice.facts.current()
  if (!demo) {
    console.log('This is a practice of your own already: nothing was changed')
    practice.db.close()
  } else if (whatLiesAside(dataFolder) === 'own') {
    swapAside(practice, dataFolder)
    console.log('Your own practice is opened; the demo lies aside')
    practice.db.close()
  } else {
    closeWhole(practice.db)
    moveDatabase(file, asideFile(dataFolder))
    console.log('The demo lies aside; an empty practice is opened')
  }
}
