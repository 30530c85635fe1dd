import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'
import type { Material } from '../../core/catalogue/ids.ts'
import { type LineLesson, lineLesson } from '../../core/learning/lineLessons.ts'
import { gearQuery } from './documents.ts'
import { straightsQuery } from './observations.ts'

/** A spool of the box, with what its own straight pulls say where there are any. */
export type Spool = { id: string; name: string; material: Material; labelN: number; lesson: LineLesson | undefined }

/** The spools of the box. */
export function useSpools(): Spool[] {
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
            lesson: lineLesson(NOMINAL_CATALOGUE, straights ?? [], { material, labelN, spoolId: id }),
          },
        ]
      }),
    [gear, straights],
  )
}
