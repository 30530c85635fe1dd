import { useSearchParams } from 'react-router'

/** What is looked at, kept in the address: the mark, the day, the trace, and the shapes of sinker in the box. */
export function useWaterChoice() {
  const [search, setSearch] = useSearchParams()
  const set = (name: 'mark' | 'day' | 'trace' | 'box', value: string) => {
    // Read the current address: the rendered one may be a choice behind and would undo that choice.
    const next = new URLSearchParams(window.location.search)
    next.set(name, value)
    setSearch(next, { replace: true })
  }
  return {
    mark: search.get('mark') ?? undefined,
    day: search.get('day') ?? undefined,
    trace: search.get('trace') ?? undefined,
    box: search.get('box')?.split(',').filter(Boolean),
    set,
  }
}
