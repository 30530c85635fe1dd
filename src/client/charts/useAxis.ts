import { useCallback } from 'react'
import { factorToSi, type Quantity } from '../../core/units/quantities.ts'
import { usePreferences } from '../settings/preferences.tsx'

/** What an axis is called, with the reader’s own unit of its quantity. */
export function useAxis() {
  const { units } = usePreferences()
  return useCallback(
    (name: string, quantity: Quantity) => ({ name, unit: units[quantity], factor: factorToSi(quantity, units[quantity]) ?? 1 }),
    [units],
  )
}
