import type { Method } from './ids.ts'

/** Whether a method casts to a bed that the sinker grips; else the sinker hangs. */
export const isCastMethod = (method: Method) => method === 'shore' || method === 'uptide'
