// Bundles the server and its commands with core into dist/, or the folder that is named; packages stay outside.
import { cpSync, rmSync } from 'node:fs'
import { build } from 'esbuild'

const outdir = process.argv[2] ?? 'dist'
rmSync(outdir, { recursive: true, force: true })
await build({
  entryPoints: [
    'src/main.ts',
    'src/thread.ts',
    'src/looking.ts',
    'src/commands/seed.ts',
    'src/commands/backup.ts',
    'src/commands/restore.ts',
    'src/commands/begin.ts',
    'src/commands/check.ts',
  ],
  outdir,
  entryNames: '[name]',
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  packages: 'external',
  sourcemap: true,
  alias: {
    '@crescent/core': '../core/src/index.ts',
    '@crescent/core/records/index': '../core/src/records/index.ts',
    '@crescent/core/anvil': '../core/src/anvil.ts',
    '@crescent/core/going': '../core/src/going.ts',
    '@crescent/core/advice': '../core/src/advice.ts',
    '@crescent/core/designs': '../core/src/designs.ts',
    '@crescent/core/courses': '../core/src/courses.ts',
    '@crescent/core/weeks': '../core/src/weeks.ts',
    '@crescent/core/formats': '../core/src/formats.ts',
    '@crescent/core/photographs': '../core/src/photographs.ts',
    '@crescent/core/photo-tracing': '../core/src/photo-tracing.ts',
    '@crescent/core/dicom': '../core/src/dicom.ts',
    '@crescent/core/made-up': '../core/src/made-up.ts',
    '@crescent/core/radiographs': '../core/src/radiographs.ts',
    '@crescent/core/solid': '../core/src/solid.ts',
  },
})
cpSync('src/database/migrations', `${outdir}/migrations`, { recursive: true })
