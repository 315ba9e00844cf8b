import { planShoe } from './plan/plan'
import { ProblemError } from './notices/problem'
import { FIVE_BY_FIVE } from './testing/samples'
import { MODIFICATIONS } from './modifications/index'
import { solidOf, signedVolume } from './views/solid'
const foot = {
  ...FIVE_BY_FIVE,
  width: 127,
  length: 127,
  heelWidth: 88.9,
  toeAngle: 52,
  wallThickness: 9.5,
} as any
const D: any = { steel: 7.85e-3, aluminium: 2.7e-3, polymer: 1.2e-3 }
const rows: any[] = []
function look(mods: any[], section: any, name: string) {
  try {
    const p = planShoe(foot, { section, fit: 'general', modifications: mods } as any)
    const solids = solidOf(p)
    let grams = 0
    const off: string[] = []
    for (const { label, mesh } of solids) {
      const part = p.parts.find((q) => q.label === label)
      const g = signedVolume(mesh) * (part?.density ? part.density * 1e-6 : D[section.material])
      if (!part || part.volume > 0 || part.tongue) grams += g
      if (part && part.volume > 0 && !part.tongue) {
        const told = part.volume * (part.density ? part.density * 1e-6 : D[section.material])
        if (Math.abs(g - told) > 0.3) off.push(`${label} told ${told.toFixed(1)} solid ${g.toFixed(1)}`)
      }
    }
    for (const part of p.parts)
      if (!part.spare && part.volume > 0 && !solids.some((s) => s.label === part.label))
        off.push(`not in solid: ${part.label} ${(part.volume * D[section.material]).toFixed(1)}`)
    const rel = grams / p.iron.weight - 1
    rows.push([
      rel,
      `${name} ${mods.map((m) => m.kind).join('+')} told ${p.iron.weight.toFixed(1)} solid ${grams.toFixed(1)} ${(rel * 100).toFixed(2)} % | ${off.join('; ')}`,
    ])
  } catch (e) {
    if (!(e instanceof ProblemError)) throw e
  }
}
const shapes: any = {
  flat: { width: 19.05, thickness: 7.9375, shape: 'flat', material: 'steel' },
  concave: { width: 19.05, thickness: 9.525, shape: 'concave', material: 'steel' },
  half: { width: 19.05, thickness: 9.525, shape: 'half-round', material: 'steel' },
  alu: { width: 25.4, thickness: 12.7, shape: 'flat', material: 'aluminium' },
}
for (const [n, s] of Object.entries(shapes)) {
  look([], s, n)
  for (const { kind } of MODIFICATIONS) look([{ kind }], s, n)
}
if (process.argv[2])
  for (const [n, s] of Object.entries(shapes))
    for (const a of MODIFICATIONS)
      for (const b of MODIFICATIONS) if (a.kind < b.kind) look([{ kind: a.kind }, { kind: b.kind }], s, n)
const bad = rows.filter(([r]) => Math.abs(r) > 0.005).sort((a, b) => Math.abs(b[0]) - Math.abs(a[0]))
console.log(rows.length, 'bad', bad.length)
for (const [, t] of bad.slice(0, 400)) console.log(t)
