/** The longest side a picture is sent with: colours and a written page need no more, and it goes quickly. */
const SIDE = 1400

/** The picture made smaller before it is sent: nothing of where or with what it was taken goes along. */
export async function smaller(file: File): Promise<string> {
  const bitmap = await createImageBitmap(file)
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(bitmap.width * scale))
  canvas.height = Math.max(1, Math.round(bitmap.height * scale))
  canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
  return canvas.toDataURL('image/jpeg', 0.92)
}
