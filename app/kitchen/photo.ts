/** Longest side of a kept picture, px, and how much of its detail stays. */
const LONGEST = 1400
const QUALITY = 0.82

/**
 * Makes a picture small. It is drawn anew, so that nothing of the camera stays in it: no place, no time, no name.
 *
 * @throws where the file is no picture that the browser can read
 */
export async function small(file: Blob): Promise<{ blob: Blob; width: number; height: number }> {
  const image = await createImageBitmap(file)
  const by = Math.min(1, LONGEST / Math.max(image.width, image.height))
  const width = Math.max(1, Math.round(image.width * by))
  const height = Math.max(1, Math.round(image.height * by))
  const canvas = document.createElement('canvas')
  canvas.width = width
  canvas.height = height
  canvas.getContext('2d')!.drawImage(image, 0, 0, width, height)
  image.close()
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', QUALITY))
  if (!blob) throw new Error('no picture')
  return { blob, width, height }
}
