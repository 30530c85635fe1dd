import { TextDecoder } from 'node:util'
import { BackupFault } from './backupFault.ts'

/** A document is far shorter. */
const MAX_LINE = 4_000_000

/** Splits a stream into lines, scanning each piece once. @throws BackupFault if it is not UTF-8 or a line is longer than `MAX_LINE`. */
export async function* linesOf(pieces: AsyncIterable<Uint8Array>): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let begun: string[] = []
  let length = 0
  const begin = (text: string) => {
    length += text.length
    if (length > MAX_LINE) throw new BackupFault('This is not a backup: one of its lines is too long.')
    if (text !== '') begun.push(text)
  }
  for await (const piece of pieces) {
    const [first = '', ...more] = decoded(decoder, piece).split('\n')
    begin(first)
    for (const text of more) {
      yield begun.join('')
      begun = []
      length = 0
      begin(text)
    }
  }
  begin(decoded(decoder))
  if (begun.length > 0) yield begun.join('')
}

function decoded(decoder: TextDecoder, piece?: Uint8Array): string {
  try {
    return piece ? decoder.decode(piece, { stream: true }) : decoder.decode()
  } catch {
    throw new BackupFault('This is not a backup: it is not text.')
  }
}
