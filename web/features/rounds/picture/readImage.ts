import type { Picture } from '@/core/picture/homography.ts'

/** The longer side that a picture is scaled to before it is kept, pixels. */
export const LONGEST = 1600

/** A picture scaled down and written anew: what a camera wrote beside it (position, time, device) is left behind. */
export async function scaled(file: Blob): Promise<Blob> {
  const bitmap = await createImageBitmap(file)
  const by = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height))
  const canvas = new OffscreenCanvas(Math.round(bitmap.width * by), Math.round(bitmap.height * by))
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  bitmap.close()
  return canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 })
}

/** Its pixels. */
export async function pixelsOf(file: Blob): Promise<Picture> {
  const bitmap = await createImageBitmap(file)
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
  const context = canvas.getContext('2d')!
  context.drawImage(bitmap, 0, 0)
  const { data, width, height } = context.getImageData(0, 0, bitmap.width, bitmap.height)
  bitmap.close()
  return { data, width, height }
}
