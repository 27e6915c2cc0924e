import { newKey, type Problem, type Schemas, send } from '../api/client'
import { sendingAgain } from '../api/once'
import { base64 } from '../parts/base64'

type View = Schemas['TransferView']

/** Tries a write under one key until it is known whether it was done, as all others are. */
async function surely<T>(write: (key: string) => Promise<T>): Promise<T> {
  const key = newKey()
  for (let failures = 0; ; failures++) {
    try {
      return await write(key)
    } catch (problem) {
      if (!sendingAgain.retry(failures, problem as Problem)) throw problem
      await new Promise((wait) => setTimeout(wait, sendingAgain.retryDelay(failures)))
    }
  }
}

/**
 * Sends a zip a piece at a time. One that was half sent before, of the same size, is gone on with.
 *
 * @param there what of one is here already
 * @param atOnce bytes to a piece
 * @param told how far it is, after each piece
 */
export async function sendZip(
  house: string,
  file: File,
  there: View | null,
  atOnce: number,
  told: (view: View) => void,
): Promise<View> {
  const goesOn = there?.state === 'filling' && there.bytes === file.size
  let view = goesOn
    ? there
    : await surely((key) =>
        send<View>('POST', `/houses/${house}/transfers`, { key, body: { way: 'in', size: file.size } }),
      )
  told(view)
  while (view.got < file.size) {
    const from = view.got
    const piece = await base64(file.slice(from, from + atOnce))
    view = await surely((key) =>
      send<View>('POST', `/houses/${house}/transfers/${view.id}/bytes`, { key, body: { from, base64: piece } }),
    )
    told(view)
  }
  return view
}
