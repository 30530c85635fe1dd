import { useEffect } from 'react'
import type { Bench } from './useBench.ts'

type Keyed = Pick<Bench, 'dirty' | 'saving' | 'save' | 'undo' | 'redo'>

/** Undo, redo and save by keyboard; a text field keeps its own undo. */
export function useShortcuts(bench: Keyed): void {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey) return
      const key = event.key.toLowerCase()
      const inText = event.target instanceof HTMLInputElement && event.target.type !== 'checkbox'
      if (key === 's') {
        event.preventDefault()
        if (bench.dirty && !bench.saving) bench.save()
      } else if (!inText && (key === 'z' || key === 'y')) {
        event.preventDefault()
        if (key === 'y' || event.shiftKey) bench.redo()
        else bench.undo()
      }
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [bench])
}
