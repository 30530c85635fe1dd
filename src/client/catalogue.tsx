import { useQuery } from '@tanstack/react-query'
import { createContext, type ReactNode, useContext, useMemo } from 'react'
import { type Catalogue, NOMINAL_CATALOGUE, withOwn } from '../core/catalogue/catalogue.ts'
import { ownConnections } from '../core/learning/knotLessons.ts'
import { pullsQuery } from './api/water.ts'
import { useKept } from './settings/useKept.ts'

type Known = {
  catalogue: Catalogue
  /** Whether one’s own pulls are laid over the nominal figures. */
  own: boolean
  setOwn: (own: boolean) => void
}

const Context = createContext<Known>({ catalogue: NOMINAL_CATALOGUE, own: true, setOwn: () => {} })

/** What is known of gear: the nominal tables, and over them what the crew measured. */
export function CatalogueProvider({ children }: { children: ReactNode }) {
  const [own, setOwn] = useKept('own-figures', true)
  const pulls = useQuery(pullsQuery).data
  const catalogue = useMemo(() => {
    const measured = own && pulls ? ownConnections(NOMINAL_CATALOGUE, pulls) : []
    return measured.length > 0 ? withOwn(NOMINAL_CATALOGUE, measured) : NOMINAL_CATALOGUE
  }, [own, pulls])
  const known = useMemo(() => ({ catalogue, own, setOwn }), [catalogue, own, setOwn])
  return <Context value={known}>{children}</Context>
}

export const useCatalogue = (): Catalogue => useContext(Context).catalogue
/** Whether own figures count, and how to turn them off to see the nominal ones. */
export const useOwnFigures = (): Known => useContext(Context)
