import { boomPaternoster } from './boomPaternoster.ts'
import type { Family } from './draft.ts'
import { runningLedger } from './runningLedger.ts'
import { threeWay } from './threeWay.ts'

/** The families a trace can be started from. */
export const FAMILIES: readonly Family[] = [runningLedger, threeWay, boomPaternoster]

export function familyName(id: string): string {
  return FAMILIES.find((family) => family.id === id)?.name ?? id
}
