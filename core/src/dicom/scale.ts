/** Where the size of a pixel comes from. */
export type ScaleSource = 'magnification' | 'calibrated' | 'detector' | 'unsaid'

/** How large a pixel is in the plane of the foot, as far as the file says it, mm. */
export interface FileScale {
  mmPerPixel?: number
  by: ScaleSource
  magnification?: number
}

/** What a file says of sizes; distances and spacings in mm. */
export interface SaidSizes {
  /** At the detector. */
  imagerSpacing?: readonly number[]
  /** Of the picture; only where it differs from the detector's, or says how, was it calibrated. */
  pixelSpacing?: readonly number[]
  calibration?: string
  magnification?: number
  sourceToDetector?: number
  sourceToObject?: number
}

/**
 * The scale of a lateral radiograph as its file says it (DICOM PS3.3 10.7): at the detector divided by the magnification;
 * as it was calibrated; else only at the detector, which makes what lies before it too large. A marker of known length in
 * the plane of the foot counts before all of them.
 */
export function fileScale(said: SaidSizes): FileScale {
  const imager = square(said.imagerSpacing)
  const pixel = square(said.pixelSpacing)
  const magnification =
    said.magnification ??
    (said.sourceToDetector && said.sourceToObject ? said.sourceToDetector / said.sourceToObject : undefined)
  if (imager !== undefined && magnification !== undefined && magnification >= 1 && magnification < 3)
    return { mmPerPixel: imager / magnification, by: 'magnification', magnification }
  const differs = pixel !== undefined && imager !== undefined && Math.abs(pixel - imager) > imager * 1e-4
  if (pixel !== undefined && (said.calibration || differs)) return { mmPerPixel: pixel, by: 'calibrated' }
  const detector = imager ?? pixel
  return detector === undefined ? { by: 'unsaid' } : { mmPerPixel: detector, by: 'detector' }
}

/** One size of pixels that are as wide as they are high; a file says it for rows and then for columns. */
function square(spacing: readonly number[] | undefined): number | undefined {
  const [row, column] = spacing ?? []
  if (row === undefined || column === undefined || !(row > 0 && column > 0)) return undefined
  return Math.abs(row - column) <= row * 0.002 ? (row + column) / 2 : undefined
}
