import { DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf'
import { DRAWN_AS, crossAt, type Drawing, type DrawnLine, type Stroke } from './drawing'

/** Layers are told apart by colour too: cut, only looked at, fine (numbers of the format's own palette). */
const COLOURS: Readonly<Record<Stroke, number>> = { cut: 7, look: 8, fine: 9 }
const DASHES = 'DASHES'

/** What the format does not allow in the name of a layer. */
const named = (name: string): string => name.replace(/[<>/\\":;?*|=`,]/g, ' ').trim()

/** Text that stands on one line and takes no part in the format's own signs. */
const written = (text: string): string => text.replace(/[\r\n]+/g, ' ').replace(/%%/g, '% %')

/** A drawing as DXF in millimetres, its layers named as it names them. */
export function writeDxf(drawing: Drawing): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  dxf.setVariable('$MEASUREMENT', { 70: 1 })
  const dashes = DRAWN_AS.look.dashes!
  dxf.addLType(DASHES, 'Dashes', [dashes[0]!, -dashes[1]!])
  for (const { name, stroke, lines, holes = [], words = [] } of drawing.layers) {
    const layerName = named(name)
    dxf.addLayer(layerName, COLOURS[stroke], stroke === 'look' ? DASHES : 'Continuous')
    const onLayer = { layerName }
    const draw = ({ points, closed }: DrawnLine) =>
      dxf.addLWPolyline(
        points.map(([x, y]) => ({ point: point2d(x, y) })),
        { ...onLayer, flags: closed ? LWPolylineFlags.Closed : LWPolylineFlags.None },
      )
    lines.forEach(draw)
    for (const hole of holes) {
      crossAt(hole).forEach(draw)
      const [x, y] = hole.at
      if (hole.diameter) dxf.addCircle(point3d(x, y, 0), hole.diameter / 2, onLayer)
    }
    for (const { text, at, height } of words)
      dxf.addText(point3d(at[0], at[1], 0), height, written(text), onLayer)
  }
  return dxf.stringify()
}
