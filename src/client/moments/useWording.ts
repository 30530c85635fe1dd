import { useMemo } from 'react'
import type { Rig } from '../../core/setup/setup.ts'
import { useShow } from '../settings/preferences.tsx'
import { linkName } from '../words/names.ts'
import type { Wording } from './momentView.ts'

/** The words for a rig: its links by name, in the units shown. */
export function useWording({ trace, outfit, catalogue }: Rig): Wording {
  const show = useShow()
  return useMemo(
    () => ({ show, catalogue, nameOf: (ref) => linkName({ trace, outfit, catalogue }, ref) }),
    [show, trace, outfit, catalogue],
  )
}
