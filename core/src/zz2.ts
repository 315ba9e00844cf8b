import { made } from './testing/made'
import { planeArea } from './geometry/plane-area'
for (const upset of [0, 10]) {
  const p = made([{ kind: 'trailer', length: 40, upset }])
  console.log(p.iron.cutLength, planeArea(p.outline.body).area / 19.05)
  if (upset)
    for (const { place, form } of p.cuts.slice(0, 26))
      console.log(
        place.fromHeel.toFixed(2),
        's',
        place.s.toFixed(2),
        'w',
        form.width.toFixed(2),
        'sq',
        place.square.toFixed(4),
        place.point.map((v) => v.toFixed(1)).join(),
        place.tangent.map((v) => v.toFixed(3)).join(),
        place.middle.map((v) => v.toFixed(1)).join(),
      )
}
for (const upset of [0, 10]) {
  const p = made([{ kind: 'trailer', length: 40, upset }])
  const A = p.section.width * p.section.thickness
  let hand = 0,
    handW = 0
  p.cuts.forEach(({ place, form }, i) => {
    if (!i) return
    const b = p.cuts[i - 1]!
    const d = place.s - b.place.s
    hand += (d * (place.square + b.place.square)) / 2
    handW += (d * (form.width * place.square + b.form.width * b.place.square)) / 2
  })
  console.log(
    upset,
    p.iron.branches,
    p.profile.s[0],
    p.profile.s.at(-1),
    hand,
    handW / 19.05,
    p.cuts.length,
    Math.min(...p.cuts.slice(26).map((c) => c.place.square)),
  )
  console.log(
    p.profile.area
      .slice(0, 14)
      .map((a) => (a / A).toFixed(3))
      .join(' '),
  )
  console.log(
    p.cuts
      .slice(0, 14)
      .map((c) => ((c.form.width * c.place.square) / 19.05).toFixed(3))
      .join(' '),
  )
}
