// Writes a consistent copy of the data, whether the server runs or not: npm run backup [-- FILE [--replace]]
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import Database from 'better-sqlite3'
import { readConfig } from '../config'
import { backupFolder, backUp, backUpInto } from '../database/backup'
import { databaseFile } from '../database/open'
import { failPlainly } from './plainly'

try {
  const { dataFolder } = readConfig()
  const source = databaseFile(dataFolder)
  if (!existsSync(source)) throw new Error(`There is no data in ${dataFolder} yet`)
  const given = process.argv.slice(2).find((word) => !word.startsWith('--'))
  const replace = process.argv.includes('--replace')
  const db = new Database(source, { readonly: true })
  const file = given
    ? await backUp(db, resolve(process.env['INIT_CWD'] ?? '.', given), { replace })
    : await backUpInto(db, backupFolder(dataFolder), new Date())
  db.close()
  console.log(`Backed up to ${file}`)
} catch (error) {
  failPlainly(error)
}
