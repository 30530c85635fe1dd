import { inRegion, type Region } from './regionWords.ts'

/** More texts than screens show between two changes of the region. */
const MAX_KEPT = 5_000

let region: Region = 'default'
let write = inRegion(region)
const written = new Map<string, string>()

/** Chooses the region whose words are shown. What is on screen must be drawn again. */
export function speakAs(next: Region): void {
  if (next === region) return
  region = next
  write = inRegion(next)
  written.clear()
}

/** Whether texts are shown as they are written. */
export const isAsWritten = (): boolean => region === 'default'

/** A text of the application in the words of the region. What someone typed does not go through here. */
export function spoken(text: string): string {
  if (isAsWritten()) return text
  const known = written.get(text)
  if (known !== undefined) return known
  if (written.size >= MAX_KEPT) written.clear()
  const now = write(text)
  written.set(text, now)
  return now
}
