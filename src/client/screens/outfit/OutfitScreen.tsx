import { useQuery } from '@tanstack/react-query'
import { useParams, useSearchParams } from 'react-router'
import { STARTING_OUTFITS } from '../../../core/outfits/startingOutfits.ts'
import { outfitsQuery } from '../../api/documents.ts'
import { Failed, Loading } from '../../ui/states.tsx'
import { OutfitForm } from './OutfitForm.tsx'

/** One outfit, new or known; a new one begins from one of those that are offered. */
export default function OutfitScreen() {
  const { id } = useParams()
  const [search] = useSearchParams()
  const outfits = useQuery(outfitsQuery)
  if (outfits.error && !outfits.data)
    return <Failed isPage what="The outfit" error={outfits.error} onRetry={() => outfits.refetch()} />
  if (!outfits.data) return <Loading what="the outfit" />
  if (id === 'new') {
    const start = STARTING_OUTFITS.find(({ name }) => name === search.get('from')) ?? STARTING_OUTFITS[0]!
    return <OutfitForm key={`new ${start.name}`} saved={undefined} blank={start} />
  }
  const saved = outfits.data.find((outfit) => outfit.id === id)
  if (!saved)
    return (
      <Failed
        isPage
        what="The outfit"
        error={new Error('This outfit was deleted or never existed. Look in the trash of the outfits.')}
      />
    )
  return <OutfitForm key={saved.id} saved={saved} blank={saved.content} />
}
