import { strToU8, zipSync } from 'fflate'
import type { Mesh } from '@crescent/core/solid'

const NAMESPACE = 'http://schemas.microsoft.com/3dmanufacturing/core/2015/02'
const START = '<?xml version="1.0" encoding="UTF-8"?>\n'

/** A closed surface as 3MF in millimetres (3MF core specification 1.3: a package of three parts). */
export function writeThreeMf({ corners, triangles }: Mesh, title: string): Uint8Array {
  const vertices = corners.map(([x, y, z]) => `<vertex x="${x}" y="${y}" z="${z}"/>`).join('')
  const faces: string[] = []
  for (let i = 0; i < triangles.length; i += 3)
    faces.push(`<triangle v1="${triangles[i]}" v2="${triangles[i + 1]}" v3="${triangles[i + 2]}"/>`)
  const model =
    `${START}<model unit="millimeter" xml:lang="en" xmlns="${NAMESPACE}">` +
    `<metadata name="Title">${escaped(title)}</metadata><metadata name="Application">Crescent</metadata>` +
    `<resources><object id="1" type="model" name="${escaped(title)}"><mesh><vertices>${vertices}</vertices><triangles>${faces.join('')}</triangles></mesh></object></resources>` +
    '<build><item objectid="1"/></build></model>'
  return zipSync({
    '[Content_Types].xml': strToU8(
      `${START}<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>`,
    ),
    '_rels/.rels': strToU8(
      `${START}<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>`,
    ),
    '3D/3dmodel.model': strToU8(model),
  })
}

const escaped = (text: string): string => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`)
