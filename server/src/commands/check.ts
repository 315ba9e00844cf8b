// Looks through the whole database, or a backup, whether it is sound: npm run check [-- FILE]
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { readConfig } from '../config'
import { lookAt } from '../database/restore'
import { databaseFile } from '../database/open'
import { failPlainly } from './plainly'

try {
  const given = process.argv[2]
  const file = given ? resolve(process.env['INIT_CWD'] ?? '.', given) : databaseFile(readConfig().dataFolder)
  if (!existsSync(file)) throw new Error(`There is no file ${file}`)
  await lookAt(file)
  console.log(`${file} is sound`)
} catch (error) {
  failPlainly(error)
}
