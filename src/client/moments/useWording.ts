import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Rig } from '../../core/setup/setup.ts'
import { sinkersQuery } from '../api/documents.ts'
import { useShow } from '../settings/preferences.tsx'
import { linkName } from '../words/names.ts'
import type { Wording } from './momentView.ts'

/** The words for a rig: its links by name, in the units shown. */
export function useWording({ trace, outfit, catalogue }: Rig): Wording {
  const show = useShow()
  const sinkers = useQuery(sinkersQuery).data
  return useMemo(
    () => ({
      show,
      catalogue,
      nameOf: (ref) => linkName({ trace, outfit, catalogue }, ref),
      sinkersKg: sinkers?.map(({ massKg }) => massKg),
    }),
    [show, trace, outfit, catalogue, sinkers],
  )
}
