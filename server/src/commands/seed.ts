// Fills an empty practice with the demo data: npm run seed [-- --if-empty]
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { readConfig } from '../config'
import { databaseFile } from '../database/open'
import { openPractice } from '../database/practice'
import { demoSchema } from '../demo/schema'
import { seedDemo } from '../demo/seed'

const practice = openPractice(databaseFile(readConfig().dataFolder))
try {
  if (practice.horses.list('1 LIMIT 1').length > 0) {
    console.log('There is data already: nothing was added')
  } else {
    // Both src/commands and dist lie this far below the root, so that one address serves both.
    const file = [
      new URL('../../../demo/practice.json', import.meta.url),
      new URL('../../demo/practice.json', import.meta.url),
    ]
      .map((url) => fileURLToPath(url))
      .find((path) => readable(path))
    if (!file) throw new Error('demo/practice.json is missing')
    seedDemo(practice, demoSchema.parse(JSON.parse(readFileSync(file, 'utf8'))), new Date())
    console.log(`Seeded ${practice.horses.list().length} horses`)
  }
} finally {
  practice.db.close()
}

function readable(path: string): boolean {
  try {
    readFileSync(path)
    return true
  } catch {
    return false
  }
}
