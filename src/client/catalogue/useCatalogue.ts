import { createContext, useContext } from 'react'
import { type Catalogue, NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'

export type KnownCatalogue = {
  catalogue: Catalogue
  /** The nominal tables, without the crew’s own tests. */
  nominal: Catalogue
  /** Whether the crew’s own pull tests replace nominal figures. */
  own: boolean
  setOwn: (own: boolean) => void
  /** Whether breaks on the water count in them. */
  field: boolean
  setField: (field: boolean) => void
}

export const CatalogueContext = createContext<KnownCatalogue>({
  catalogue: NOMINAL_CATALOGUE,
  nominal: NOMINAL_CATALOGUE,
  own: true,
  setOwn: () => {},
  field: false,
  setField: () => {},
})

export const useCatalogue = (): Catalogue => useContext(CatalogueContext).catalogue
/** The nominal catalogue, to compare test results with. */
export const useNominalCatalogue = (): Catalogue => useContext(CatalogueContext).nominal
/** Whether own pull tests count, and how to turn them off to see the nominal figures. */
export const useOwnFigures = (): KnownCatalogue => useContext(CatalogueContext)
