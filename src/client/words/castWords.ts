import type { Catalogue } from '../../core/catalogue/catalogue.ts'
import type { Conditions } from '../../core/documents/conditions.ts'

/** What a way of getting a trace out is called. */
export const castName = ({ castStyles }: Catalogue, style: Conditions['castStyle']) =>
  style === 'none' ? 'not cast: lowered' : castStyles[style].name
