// Writes a consistent copy of the data, whether the server runs or not: npm run backup [-- FILE]
import { join, resolve } from 'node:path'
import { existsSync } from 'node:fs'
import Database from 'better-sqlite3'
import { readConfig } from '../config'
import { backupFolder, backupName, backUp } from '../database/backup'
import { databaseFile } from '../database/open'

const { dataFolder } = readConfig()
const source = databaseFile(dataFolder)
if (!existsSync(source)) {
  console.error(`There is no data in ${dataFolder} yet`)
  process.exit(1)
}
const given = process.argv[2]
const target = given
  ? resolve(process.env['INIT_CWD'] ?? '.', given)
  : join(backupFolder(dataFolder), backupName(new Date()))
const db = new Database(source, { readonly: true })
console.log(`Backed up to ${await backUp(db, target)}`)
db.close()
