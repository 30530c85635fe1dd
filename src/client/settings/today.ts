import { format } from 'date-fns'

/** The calendar day of this browser, such as `2026-11-30`. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd')
