/** A moment as the clock on the wall shows it, in this browser's zone, 24 hours. */
export function clockTime(iso: string): string {
  return new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
}
