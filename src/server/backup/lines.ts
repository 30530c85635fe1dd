import { TextDecoder } from 'node:util'
import { BackupFault } from './takeIn.ts'

/** The lines of a text that comes in pieces, read as they are wanted. @throws BackupFault where it is no UTF-8 or over so many bytes. */
export async function* linesOf(pieces: AsyncIterable<Uint8Array>, mostBytes = Number.POSITIVE_INFINITY): AsyncGenerator<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let bytes = 0
  let rest = ''
  for await (const piece of pieces) {
    bytes += piece.length
    if (bytes > mostBytes) throw new BackupFault('It is larger than any backup.')
    const lines = `${rest}${decoded(decoder, piece)}`.split('\n')
    rest = lines.pop() ?? ''
    yield* lines
  }
  rest += decoded(decoder)
  if (rest !== '') yield rest
}

function decoded(decoder: TextDecoder, piece?: Uint8Array): string {
  try {
    return piece ? decoder.decode(piece, { stream: true }) : decoder.decode()
  } catch {
    throw new BackupFault('It is no text.')
  }
}
