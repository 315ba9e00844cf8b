// Puts a backup in the place of the data; the server must be stopped: npm run restore -- FILE
import { resolve } from 'node:path'
import { readConfig } from '../config'
import { restore } from '../database/backup'

const given = process.argv[2]
if (!given) {
  console.error('Say which backup: npm run restore -- FILE')
  process.exit(1)
}
try {
  const kept = restore(readConfig().dataFolder, resolve(process.env['INIT_CWD'] ?? '.', given))
  console.log(`Restored.${kept ? ` What was there before is in ${kept}` : ''}`)
} catch (error) {
  console.error((error as Error).message)
  process.exit(1)
}
