import type { Trip } from '../../../core/documents/trip.ts'
import type { SavedOutfit } from '../../api/documents.ts'

/** The rods of a trip by name; of several, each with its number, since two may be alike. */
export const namedRods = ({ rods }: Pick<Trip, 'rods'>, outfits: readonly SavedOutfit[]): { id: string; name: string }[] =>
  rods.map(({ id, outfitId }, i) => {
    const name = outfits.find((each) => each.id === outfitId)?.content.name ?? 'a deleted outfit'
    return { id, name: rods.length > 1 ? `${i + 1}. ${name}` : name }
  })
