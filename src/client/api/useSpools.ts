import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import type { Material } from '../../core/catalogue/ids.ts'
import { type LineLesson, lineLesson } from '../../core/learning/lineLessons.ts'
import { useNominalCatalogue } from '../catalogue/useCatalogue.ts'
import { gearQuery } from './documents.ts'
import { straightsQuery } from './observations.ts'

/** A spool of the box, with what its own straight pulls say where there are any. */
export type Spool = { id: string; name: string; material: Material; labelN: number; lesson: LineLesson | undefined }

/** The spools of the box. */
export function useSpools(): Spool[] {
  const nominal = useNominalCatalogue()
  const gear = useQuery(gearQuery).data
  const straights = useQuery(straightsQuery).data
  return useMemo(
    () =>
      (gear ?? []).flatMap(({ id, content }): Spool[] => {
        if (content.kind !== 'line') return []
        const { name, material, strengthN: labelN } = content
        return [
          {
            id,
            name,
            material,
            labelN,
            lesson: lineLesson(nominal, straights ?? [], { material, labelN, spoolId: id }),
          },
        ]
      }),
    [nominal, gear, straights],
  )
}
