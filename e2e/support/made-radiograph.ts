import { madeUpRadiograph, type RadiographWish } from '@crescent/core/made-up'
import { dicomOf } from '../../server/src/formats/dicom/write-dicom'
import { packed } from '../../server/src/testing/pack-radiograph'

/** A made-up radiograph as a DICOM file that is chosen, plain or packed, and its truth. */
export async function madeRadiograph(wish: RadiographWish, pack?: Parameters<typeof packed>[0]) {
  const { picture, truth } = madeUpRadiograph(wish)
  const buffer = dicomOf(picture, {
    ...{ mmPerPixel: truth.mmPerPixel, patient: 'Made-up horse', side: 'L', date: '20261120' },
    ...(pack && { packed: await packed(pack, picture) }),
  })
  return { file: { name: 'lateral.dcm', mimeType: 'application/dicom', buffer }, truth }
}
