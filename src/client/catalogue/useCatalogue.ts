import { createContext, useContext } from 'react'
import { type Catalogue, NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'

export type KnownCatalogue = {
  catalogue: Catalogue
  /** The tables as they come, whatever the crew tested. */
  nominal: Catalogue
  /** Whether the crew’s own pull tests replace nominal figures. */
  own: boolean
  setOwn: (own: boolean) => void
}

export const CatalogueContext = createContext<KnownCatalogue>({
  catalogue: NOMINAL_CATALOGUE,
  nominal: NOMINAL_CATALOGUE,
  own: true,
  setOwn: () => {},
})

export const useCatalogue = (): Catalogue => useContext(CatalogueContext).catalogue
/** For what is measured against the nominal figures. */
export const useNominalCatalogue = (): Catalogue => useContext(CatalogueContext).nominal
/** Whether own pull tests count, and how to turn them off to see the nominal figures. */
export const useOwnFigures = (): KnownCatalogue => useContext(CatalogueContext)
