import { type Catalogue, NOMINAL_CATALOGUE } from '../core/catalogue/catalogue.ts'

/** What is known of gear on these screens: the nominal tables, until the crew has measured its own. */
export const useCatalogue = (): Catalogue => NOMINAL_CATALOGUE
