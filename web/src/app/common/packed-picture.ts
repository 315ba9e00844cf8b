/** Packs a picture of four bytes a pixel in a worker; the better the larger, 0 to 1. */
export async function packedPicture(
  rgba: Uint8ClampedArray,
  width: number,
  height: number,
  quality = 0.92,
): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height)
  const data = new ImageData(rgba as Uint8ClampedArray<ArrayBuffer>, width, height)
  canvas.getContext('2d')!.putImageData(data, 0, 0)
  return canvas.convertToBlob({ type: 'image/jpeg', quality })
}
