import type { Tied } from '../../core/documents/tied.ts'
import { TIED_VERSION } from '../../core/documents/versions.ts'

const HOUND = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211'
const TOPE = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d204'
const PULLEY = 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d212'

const tied = (name: string, traceId: string, tiedOn: string, more: Partial<Tied>): Tied => ({
  formatVersion: TIED_VERSION,
  name,
  traceId,
  traceRevision: 1,
  tiedOn,
  state: 'ready',
  ...more,
})

/** What the scenario's crew has tied: some ready, one old, one used hard, one lost. */
export const DEMO_TIED: readonly Tied[] = [
  tied('Hound trace 1', HOUND, '2026-11-14', { keptIn: 'winder 1', tiedBy: 'AB' }),
  tied('Hound trace 2', HOUND, '2026-11-14', { keptIn: 'winder 2', tiedBy: 'AB' }),
  tied('Hound trace 3', HOUND, '2026-11-14', { keptIn: 'winder 3', tiedBy: 'CD', differs: 'snoods 5 cm shorter' }),
  tied('Tope ledger 1', TOPE, '2026-10-02', { keptIn: 'wallet, slot 4', tiedBy: 'CD', state: 'onRod', usedHard: true }),
  tied('Conger pulley 1', PULLEY, '2026-03-08', { keptIn: 'wallet, slot 7', tiedBy: 'AB' }),
  tied('Conger pulley 2', PULLEY, '2026-03-08', { tiedBy: 'AB', state: 'lost' }),
]
