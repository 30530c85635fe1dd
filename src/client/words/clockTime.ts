import { format } from 'date-fns'

/** A moment as the clock on the wall shows it, in this browser's zone, 24 hours. */
export function clockTime(iso: string): string {
  return format(new Date(iso), 'HH:mm')
}
