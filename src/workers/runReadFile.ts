import type { FileFormat, FileFormats, ReadFileRequest } from './readFile.protocol.ts'
import { runJob } from './runJob.ts'

/** No honest file takes longer. */
const MAX_MS = 10_000

/** Reads a file in a worker, so that a hostile one never blocks the page. @throws Error if it takes too long. */
export async function runReadFile<F extends FileFormat>(
  format: F,
  file: Blob,
  more: FileFormats[F]['with'],
): Promise<FileFormats[F]['read']> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  const worker = new Worker(new URL('./readFile.worker.ts', import.meta.url), { type: 'module' })
  const request = { format, bytes, ...more } as unknown as ReadFileRequest
  return runJob<ReadFileRequest, FileFormats[F]['read']>(worker, request, AbortSignal.timeout(MAX_MS)).catch((error: unknown) => {
    throw error instanceof DOMException ? new Error('The file took too long to read. Is it the right one?') : error
  })
}
