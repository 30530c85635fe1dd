import { useQuery } from '@tanstack/react-query'
import { type ReactNode, useMemo } from 'react'
import { withOwn } from '../../core/catalogue/catalogue.ts'
import { ownConnections } from '../../core/learning/knotLessons.ts'
import { pullsQuery } from '../api/observations.ts'
import { CatalogueContext, useNominalCatalogue } from '../catalogue/useCatalogue.ts'
import { useKept } from '../settings/useKept.ts'

/** Provides the catalogue: the nominal tables, with the crew’s own pull tests in place of nominal figures. */
export function CatalogueProvider({ children }: { children: ReactNode }) {
  const [own, setOwn] = useKept('own-figures', true)
  const pulls = useQuery(pullsQuery).data
  const nominal = useNominalCatalogue()
  const catalogue = useMemo(() => {
    const measured = own && pulls ? ownConnections(nominal, pulls) : []
    return measured.length > 0 ? withOwn(nominal, measured) : nominal
  }, [nominal, own, pulls])
  const known = useMemo(() => ({ catalogue, nominal, own, setOwn }), [catalogue, nominal, own, setOwn])
  return <CatalogueContext value={known}>{children}</CatalogueContext>
}
