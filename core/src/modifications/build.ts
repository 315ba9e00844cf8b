import type { Half } from '../terms/half'
import type { FootOutline } from '../foot/outline'
import type { Lay, LayPlace } from '../shoe/lay'
import type { ShoeContext } from './modification'
import type { Chosen } from './resolve'
import { barPlaces, profileOf, type BarPlace, type Profile } from '../shoe/profile'
import { layRims, type Rims } from '../shoe/rims'
import { barForm, formArea, type SectionForm } from '../shoe/section-form'

/** The finished section at a place of the shoe: what a cut there would show. */
export interface SectionCut {
  place: BarPlace
  form: SectionForm
}

/** Height forged onto the bar at a place by all modifications, mm. */
function riseAt(place: LayPlace, chosen: readonly Chosen[], context: ShoeContext): number {
  let sum = 0
  for (const { modification, values } of chosen) sum += modification.rise?.(place, context, values) ?? 0
  return sum
}

/** The finished section with what is set on it. */
function raisedBy(
  form: SectionForm,
  place: LayPlace,
  chosen: readonly Chosen[],
  context: ShoeContext,
): SectionForm {
  if (chosen.length === 0) return form
  const more = chosen.reduce(
    (sum, { modification, values }) => sum + (modification.setOn?.(place, context, values) ?? 0),
    0,
  )
  return more > 0 ? { ...form, thickness: form.thickness + more, setOn: more } : form
}

/** The section as forged at a place: the bar with its edges and faces moved, before its web has grown by that. */
function forged(
  place: LayPlace,
  bar: SectionForm,
  chosen: readonly Chosen[],
  context: ShoeContext,
): SectionForm {
  return chosen.reduce(
    (form, { modification, values }) => modification.forge?.(form, place, context, values) ?? form,
    bar,
  )
}

/**
 * The rims of a shoe with its modifications. Metal that is forged aside is not lost: the web grows by it, so that the
 * section keeps the area of the bar it was made from.
 */
export function modifiedRims(
  chosen: readonly Chosen[],
  plain: { lay: Lay; rims: Rims; centroidShare: number },
  outline: FootOutline,
  context: ShoeContext,
): Rims {
  if (!chosen.some(({ modification }) => modification.lay ?? modification.forge)) return plain.rims
  const lay = chosen.reduce(
    (laid, { modification, values }) => modification.lay?.(laid, context, values) ?? laid,
    plain.lay,
  )
  const { shape, material, thickness } = context.section
  const rises = chosen.filter(({ modification }) => modification.rise)
  const forges = chosen.filter(({ modification }) => modification.forge)
  const web = (place: LayPlace): number => {
    const width = lay.web(place)
    if (forges.length === 0) return width
    // What is pushed aside stands as high as the bar is there.
    const high = thickness + riseAt(place, rises, context)
    const bar = barForm({ shape, material, width, thickness: high })
    const form = forged(place, bar, forges, context)
    return form === bar ? width : width + (formArea(bar) - formArea(form)) / high
  }
  return layRims(outline, { ...lay, web }, plain.centroidShare)
}

/** The section at every place and the profile that follows from it; the bar’s own centroid lies so far in, as a share of the web. */
export function buildBar(
  chosen: readonly Chosen[],
  context: ShoeContext,
  centroidShare: number,
): { profile: Profile; cuts: SectionCut[] } {
  const { rims, section } = context
  const places = barPlaces(rims)
  const { shape, material, thickness } = section
  const rises = chosen.filter(({ modification }) => modification.rise)
  const forges = chosen.filter(({ modification }) => modification.forge)
  const rasps = chosen.filter(({ modification }) => modification.rasp)
  let last: SectionForm | undefined
  const asForged = places.map((place): SectionForm => {
    const rise = riseAt(place, rises, context)
    const bar = { shape, material, width: place.web, thickness: thickness + rise }
    if (forges.length > 0) return forged(place, barForm(bar), forges, context)
    // Most of a shoe is the same bar at every place.
    if (last?.width !== bar.width || last.thickness !== bar.thickness) last = barForm(bar)
    return last
  })
  const finished =
    rasps.length === 0
      ? asForged
      : asForged.map((form, i) =>
          rasps.reduce(
            (now, { modification, values }) => modification.rasp!(now, places[i]!, context, values),
            form,
          ),
        )
  const set = chosen.filter(({ modification }) => modification.setOn)
  const gathered = chosen.flatMap(({ modification, values }) => modification.gather?.(context, values) ?? [])
  return {
    profile: profileOf(places, asForged, finished, gathered, centroidShare),
    cuts: places.map((place, i) => ({ place, form: raisedBy(finished[i]!, place, set, context) })),
  }
}

/** The cut at a place of one branch, mm along the outer rim from the middle of the toe. */
export function cutAt(cuts: readonly SectionCut[], branch: Half, fromToe: number): SectionCut {
  const off = ({ place }: SectionCut) =>
    // The middle of the toe belongs to both branches.
    place.branch === branch || place.fromToe === 0 ? Math.abs(place.fromToe - fromToe) : Infinity
  return cuts.reduce((near, one) => (off(one) < off(near) ? one : near))
}
