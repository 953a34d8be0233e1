import type { IncomingMessage } from 'node:http'
import { Refusal } from '../../core/refusal'

/**
 * The body of a request as text, read no further than a limit.
 *
 * @param most bytes
 * @throws Refusal `too-large` as soon as more has come, whatever the request said beforehand
 */
export function bodyWithin(request: Pick<IncomingMessage, 'on' | 'pause' | 'removeAllListeners'>, most: number): Promise<string> {
  return new Promise((resolve, reject) => {
    const pieces: Buffer[] = []
    let bytes = 0
    request.on('data', (piece: Buffer) => {
      bytes += piece.length
      if (bytes <= most) {
        pieces.push(piece)
        return
      }
      request.removeAllListeners('data')
      request.pause()
      reject(new Refusal('too-large', 'The request is larger than one recipe can be (1 MB).'))
    })
    request.on('end', () => resolve(Buffer.concat(pieces).toString('utf8')))
    request.on('error', reject)
  })
}
