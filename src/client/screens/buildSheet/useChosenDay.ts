import { useQuery } from '@tanstack/react-query'
import { useSearchParams } from 'react-router'
import { isDay } from '../../../core/time/localDay.ts'
import { marksQuery } from '../../api/documents.ts'

/** The mark and the day that the sheet is printed for, from its address; the trace's own mark where that says none. */
export function useChosenDay(ownMarkId: string | undefined) {
  const [query, setQuery] = useSearchParams()
  const marks = useQuery(marksQuery).data
  const mark = marks?.find(({ id }) => id === (query.get('mark') ?? ownMarkId))
  const day = query.get('day') ?? undefined
  return {
    mark,
    date: mark && day !== undefined && isDay(day, mark.content.timeZone) ? day : undefined,
    choose: (next: string) =>
      setQuery(
        (old) => {
          if (next) old.set('day', next)
          else old.delete('day')
          return old
        },
        { replace: true },
      ),
  }
}
