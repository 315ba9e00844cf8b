// Bundles a bench as the screens are bundled, and runs it: a runner that compiles file by file adds time of its own.
import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { build } from 'esbuild'

const folder = mkdtempSync(join(tmpdir(), 'crescent-bench-'))
const outfile = join(folder, 'bench.mjs')
const [bench, ...parameters] = process.argv.slice(2)
await build({
  entryPoints: [join(import.meta.dirname, bench)],
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile,
})
const { status } = spawnSync(process.execPath, [outfile, ...parameters], { stdio: 'inherit' })
rmSync(folder, { recursive: true, force: true })
process.exit(status ?? 1)
