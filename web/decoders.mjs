// Lays the decoders of packed radiographs where the screens fetch them: they are wasm, and no bundle holds them.
import { copyFileSync, mkdirSync } from 'node:fs'
import { createRequire } from 'node:module'
import { basename, join } from 'node:path'

const { resolve } = createRequire(import.meta.url)
const folder = join(import.meta.dirname, 'public', 'decoders')
mkdirSync(folder, { recursive: true })
for (const codec of ['charls', 'openjpeg', 'libjpeg-turbo-8bit']) {
  const file = resolve(`@cornerstonejs/codec-${codec}/decodewasm`)
  copyFileSync(file, join(folder, basename(file)))
}
