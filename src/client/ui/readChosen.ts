import { MAX_BYTES, type ReadFile, refused } from '../../files/readCsv.ts'
import type { FileFormat, FileFormats } from '../../workers/readFile.protocol.ts'
import { runReadFile } from '../../workers/runReadFile.ts'

/** Formats that are read row by row. */
export type RowFormat = Exclude<FileFormat, 'trace'>
/** What a file of a format is read as. */
export type ReadOf<F extends FileFormat> = Extract<FileFormats[F]['read'], { ok: true }>['value']

/** Reads a chosen file, up to `MAX_BYTES`. Whatever goes wrong is returned as a fault of the file. */
export async function readChosen<F extends FileFormat>(
  format: F,
  file: File,
  more: FileFormats[F]['with'],
): Promise<ReadFile<ReadOf<F>>> {
  if (file.size > MAX_BYTES) return refused('The file is over 5 MB')
  try {
    return (await runReadFile(format, file, more)) as ReadFile<ReadOf<F>>
  } catch (error) {
    return refused(error instanceof Error ? error.message : String(error))
  }
}

/** Faults of a file with their places in words. */
export const placesOf = (read: ReadFile<unknown>) =>
  read.ok ? [] : read.faults.map(({ line, message }) => ({ place: line === undefined ? 'the file' : `line ${line}`, message }))
