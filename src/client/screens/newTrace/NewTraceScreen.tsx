import { useQuery } from '@tanstack/react-query'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { outfitsQuery, type SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { QuickOutfit } from '../../documents/QuickOutfit.tsx'
import { Sheet } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { useNoFaults } from '../../ui/useNoFaults.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { BaitAndHook } from './BaitAndHook.tsx'
import { DraftPreview } from './DraftPreview.tsx'
import { FamilyChoice } from './FamilyChoice.tsx'
import { FishAndPlace } from './FishAndPlace.tsx'
import { LeaderChoice } from './LeaderChoice.tsx'
import { OutfitChoice } from './OutfitChoice.tsx'
import { useNewTrace } from './useNewTrace.ts'
import { WeightsAndLengths } from './WeightsAndLengths.tsx'

/** From the fish to a sound first draft, in the order of the work: fish and place, outfit, family, bait and hook, leader, sinker. */
export default function NewTraceScreen() {
  usePageTitle('New trace')
  const outfits = useQuery(outfitsQuery)
  if (outfits.error && !outfits.data)
    return <Failed isPage what="The outfits" error={outfits.error} onRetry={() => outfits.refetch()} />
  if (!outfits.data) return <Loading what="the outfits" />
  const [first] = outfits.data
  if (!first)
    return (
      <Sheet title="Your outfit first" className="m-3 max-w-xl sm:mx-6">
        <p className="mb-3 text-quiet">
          A trace is tied to an outfit: rod, reel and the line on it. Four things are enough to begin, or take{' '}
          <Link to="/gear" className="underline">
            a usual outfit
          </Link>
          .
        </p>
        <QuickOutfit onMade={() => {}} />
      </Sheet>
    )
  return <NewTraceForm outfits={outfits.data} first={first} />
}

function NewTraceForm({ outfits, first }: { outfits: SavedOutfit[]; first: SavedOutfit }) {
  const catalogue = useCatalogue()
  const made = useNewTrace(outfits, first)
  const { ref, complaint, submitIfValid } = useNoFaults<HTMLDivElement>()
  const { family, familyId, families, outfit, drafted, choose } = made
  const draft = drafted?.ok ? drafted.draft : undefined
  const setup = useMemo(
    () => draft && { trace: draft.trace, conditions: draft.conditions, outfit: outfit.content, catalogue },
    [draft, outfit, catalogue],
  )
  return (
    <div ref={ref} className="grid items-start gap-3 p-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="grid gap-3">
        <h1 className="text-xl font-bold">New trace</h1>
        <Sheet title="1. Fish and place">
          <FishAndPlace {...made} />
        </Sheet>
        <Sheet title="2. Outfit">
          <OutfitChoice {...made} />
        </Sheet>
        <Sheet title="3. Family">
          <FamilyChoice
            value={familyId}
            families={families}
            sorted={made.conditions.target !== undefined || made.conditions.water !== undefined}
            outfit={outfit.content}
            onChange={(id) => choose({ familyId: id })}
          />
        </Sheet>
        {family && setup && (
          <Sheet title="4. Bait and hook">
            <div className="grid gap-2">
              <BaitAndHook made={made} family={family} setup={setup} />
            </div>
          </Sheet>
        )}
        {draft && (
          <Sheet title="5. Leader">
            <div className="grid gap-2">
              <LeaderChoice made={made} draft={draft} />
            </div>
          </Sheet>
        )}
        <Sheet title={family ? '6. Sinker, lengths and cast' : '4. Cast'}>
          <div key={familyId} className="grid gap-2">
            <WeightsAndLengths made={made} wishes={draft?.wishes} />
          </div>
        </Sheet>
      </div>
      <DraftPreview made={made} complaint={complaint} submitIfValid={submitIfValid} />
    </div>
  )
}
