import dayjs from 'dayjs'

/** The calendar day of this browser, such as `2026-11-30`. */
export const today = (): string => dayjs().format('YYYY-MM-DD')
