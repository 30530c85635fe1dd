import type { Catalogue } from '../core/catalogue/catalogue.ts'
import type { Outfit } from '../core/documents/outfit.ts'
import type { Verdict } from '../core/moments/moment.ts'
import type { SavedRow } from '../shared/versioned.ts'

/** Traces as they came from the server, and the outfits they may be fished on by id. */
export type VerdictsRequest = { rows: SavedRow[]; outfits: ReadonlyMap<string, Outfit>; catalogue: Catalogue }

/** The worst that any moment says of each; without those that cannot be read or have no outfit. */
export type VerdictsResult = { id: string; worst: Verdict }[]
