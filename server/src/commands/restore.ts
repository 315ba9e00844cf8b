// Puts a backup in the place of the data; the server must be stopped: npm run restore -- FILE
import { resolve } from 'node:path'
import { readConfig } from '../config'
import { restore } from '../database/restore'
import { failPlainly } from './plainly'

try {
  const given = process.argv[2]
  if (!given) throw new Error('Say which backup: npm run restore -- FILE')
  const kept = await restore(readConfig().dataFolder, resolve(process.env['INIT_CWD'] ?? '.', given))
  console.log(`Restored.${kept ? ` What was there before is in ${kept}` : ''}`)
} catch (error) {
  failPlainly(error)
}
