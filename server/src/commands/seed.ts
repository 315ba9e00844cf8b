// Fills an empty data folder with the demo data: npm run seed [-- --if-none]
import { readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { readConfig } from '../config'
import { closeWhole, moveDatabase } from '../resources/safekeeping/aside'
import { practiceFiles, TAILS } from '../database/files'
import { databaseFile } from '../database/open'
import { openPractice } from '../practice'
import { demoSchema } from '../demo/schema'
import { seedPictures } from '../demo/pictures'
import { seedDemo } from '../demo/seed'
import { failPlainly } from './plainly'

try {
  const { dataFolder } = readConfig()
  const lying = practiceFiles(dataFolder)
  if (lying.length > 0) {
    // Where a practice's files lie, whatever became of its database, nothing made up is put beside them.
    if (!process.argv.includes('--if-none'))
      console.log(`There is data in ${dataFolder} already (${lying.join(', ')}): nothing was added`)
  } else await seed(dataFolder)
} catch (error) {
  failPlainly(error)
}

/** Made under another name and only then put in its place: a seed that is killed is begun again by the next start. */
async function seed(dataFolder: string): Promise<void> {
  const making = join(dataFolder, 'seeding.sqlite')
  for (const tail of ['', ...TAILS]) rmSync(making + tail, { force: true })
  const practice = openPractice(making)
  const demo = demoSchema.parse(JSON.parse(demoFile('practice.json')))
  seedDemo(practice, demo, new Date(), demoFile('sizes.csv'))
  await seedPictures(practice, demo)
  const horses = practice.horses.list().length
  closeWhole(practice.db)
  moveDatabase(making, databaseFile(dataFolder))
  console.log(`Seeded ${horses} horses`)
}

/** Both src/commands and dist lie this far below the root, so that one address serves both. */
function demoFile(name: string): string {
  for (const address of [`../../../demo/${name}`, `../../demo/${name}`]) {
    try {
      return readFileSync(fileURLToPath(new URL(address, import.meta.url)), 'utf8')
    } catch {
      // The other one, then.
    }
  }
  throw new Error(`demo/${name} is missing`)
}
