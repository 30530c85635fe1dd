import { useQuery } from '@tanstack/react-query'
import type { Dimension } from '../../core/lessons/counts.ts'
import { marksQuery } from '../api/documents.ts'
import { useTraceHeads } from '../api/useTraceHeads.ts'
import { useCatalogue } from '../catalogue/useCatalogue.ts'
import { ownValueName } from '../words/lessonWords.ts'

/** A name, and whether someone typed it. */
export type Named = { text: string; isTyped: boolean }

/** What each value that was counted is called. */
export function useNames(): (by: Dimension, value: string) => Named {
  const catalogue = useCatalogue()
  const marks = useQuery(marksQuery).data
  const heads = useTraceHeads().data
  return (by, value) => {
    const own = ownValueName(catalogue, by, value)
    if (own !== undefined) return { text: own, isTyped: false }
    const typed =
      by === 'mark'
        ? marks?.find(({ id }) => id === value)?.content.name
        : by === 'trace'
          ? heads?.find(({ id }) => id === value)?.content.name
          : value
    return typed === undefined ? { text: `a ${by} that was deleted`, isTyped: false } : { text: typed, isTyped: true }
  }
}
