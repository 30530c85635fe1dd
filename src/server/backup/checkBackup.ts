import { BackupFault } from './backupFault.ts'
import { Checksum, checksumRow, headerRow } from './format.ts'

/**
 * Checks that a backup is complete and undamaged before any of it reaches the database.
 * @returns the number of lines.
 * @throws BackupFault if it is not a backup, was cut short or changed.
 */
export async function checkBackup(lines: AsyncIterable<string>): Promise<number> {
  const checksum = new Checksum()
  let count = 0
  let ended = false
  for await (const line of lines) {
    if (ended && line === '') continue
    if (ended) throw new BackupFault('The file has more lines after its checksum.')
    count += 1
    if (count === 1 && !headerRow.safeParse(jsonOf(line)).success)
      throw new BackupFault('This is not a backup of Wide Reach, or it is from a newer version.')
    const end = line.startsWith('{"row":"checksum"') ? checksumRow.safeParse(jsonOf(line)).data : undefined
    if (end && end.sha256 !== checksum.end())
      throw new BackupFault('The file was changed or damaged: its checksum does not match.')
    if (end) ended = true
    else checksum.add(line)
  }
  if (!ended) throw new BackupFault('The file was cut short: its checksum is missing.')
  return count
}

/** A line as JSON; undefined where it is none. */
export function jsonOf(line: string): unknown {
  try {
    return JSON.parse(line)
  } catch {
    return undefined
  }
}
