import { useEffect } from 'react'
import { spoken } from '../regional/spoken.ts'

/** Names the browser’s tab by the document that is open and the screen it is open in. */
export function usePageTitle(screen: string, document?: string): void {
  useEffect(() => {
    window.document.title = [document, spoken(screen), 'Wide Reach'].filter(Boolean).join(' · ')
  }, [screen, document])
}
