// Builds the screens: chunks that are always wanted together become one, then every text is packed once, as tightly as
// it goes, instead of at each request.
import { execFileSync } from 'node:child_process'
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, constants } from 'node:zlib'
import './decoders.mjs'

const folder = join(import.meta.dirname, 'dist', 'browser')
const TEXTS = /\.(js|css|svg|html|webmanifest|txt|wasm)$/
/** Below it packing saves less than the lines that announce it, bytes. */
const LEAST = 400

execFileSync(
  process.execPath,
  [join(import.meta.dirname, '../node_modules/@angular/cli/bin/ng.js'), 'build', ...process.argv.slice(2)],
  {
    cwd: import.meta.dirname,
    stdio: 'inherit',
    env: { ...process.env, NG_BUILD_OPTIMIZE_CHUNKS: '1' },
  },
)

for (const name of readdirSync(folder, { recursive: true })) {
  const file = join(folder, name)
  if (!TEXTS.test(name) || statSync(file).size < LEAST) continue
  const text = readFileSync(file)
  const params = {
    [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
    [constants.BROTLI_PARAM_SIZE_HINT]: text.length,
  }
  writeFileSync(`${file}.br`, brotliCompressSync(text, { params }))
}
