import { Plus } from 'lucide-react'
import { useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { spoolFacts } from '../../../core/outfits/spoolFacts.ts'
import { STARTING_OUTFITS } from '../../../core/outfits/startingOutfits.ts'
import { percent } from '../../../core/units/percent.ts'
import type { SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { DocumentHead } from '../../documents/DocumentHead.tsx'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { QuickOutfit } from '../../documents/QuickOutfit.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { newTraceAddress } from '../../words/addresses.ts'
import { lineSpec, WOUND_NAMES } from '../../words/names.ts'
import { outfitRemarks } from '../../words/outfitWords.ts'
import { useOutfitRemoval } from './OutfitInUse.tsx'

/** Every outfit: rod, reel and the lines on it. New ones from four values, or from a usual one. */
export default function OutfitsPage() {
  usePageTitle('Outfits')
  const navigate = useNavigate()
  const [search] = useSearchParams()
  const open = ({ id }: { id: string }) => void navigate(`/gear/outfits/${id}`)
  // In the first steps the mark comes next.
  const goOn = (made: { id: string }) =>
    search.has('first') ? void navigate(`/water/marks/new?first&outfit=${made.id}`) : open(made)
  return (
    <>
      <DocumentList
        kind="outfits"
        title="Outfits"
        searchText={({ name, marking }) => `${name} ${marking ?? ''}`}
        onCopied={open}
        actions={() => <NewOutfit onMade={goOn} />}
        empty={{
          title: 'No outfits yet',
          text: 'Enter yours, or start from a usual one below. An outfit is a rod, a reel and the line on it.',
        }}
      >
        {(outfits, isTrash, actions) => (
          <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
            {outfits.map((saved) => (
              <OutfitCard key={saved.id} saved={saved} isTrash={isTrash} actions={actions} />
            ))}
          </ul>
        )}
      </DocumentList>
      <Sheet
        title="Start from a usual outfit"
        aside={<span className="text-sm text-quiet">nominal values, yours to change</span>}
      >
        <ul className="flex flex-wrap gap-1.5">
          {STARTING_OUTFITS.map(({ name }) => (
            <li key={name}>
              <Link to={`/gear/outfits/new?from=${encodeURIComponent(name)}`} className={buttonClass()}>
                {name}
              </Link>
            </li>
          ))}
        </ul>
      </Sheet>
    </>
  )
}

function NewOutfit({ onMade }: { onMade: (made: { id: string }) => void }) {
  const [search] = useSearchParams()
  const [isOpen, setOpen] = useState(search.has('new'))
  return (
    <Panel
      open={isOpen}
      onOpenChange={setOpen}
      title="New outfit"
      about="Enter four values from your rod, reel and spool. You can add the rest later."
      trigger={
        <Button tone="strong">
          <Plus className="size-4" aria-hidden="true" /> New outfit
        </Button>
      }
    >
      <div className="mt-4">
        <QuickOutfit
          onMade={(made) => {
            setOpen(false)
            onMade(made)
          }}
        />
      </div>
    </Panel>
  )
}

type CardProps = { saved: SavedOutfit; isTrash: boolean; actions: DocumentActions<'outfits'> }

function OutfitCard({ saved, isTrash, actions }: CardProps) {
  const { remove, question } = useOutfitRemoval(actions.moveToTrash)
  const catalogue = useCatalogue()
  const show = useShow()
  const { id, content: outfit } = saved
  const facts = spoolFacts(catalogue, outfit, 0)
  const remarks = outfitRemarks(catalogue, outfit, new Date())
  return (
    <li className="grid content-start gap-1 rounded-lg border border-rule bg-sheet p-3">
      <DocumentHead
        saved={saved}
        name={outfit.name}
        to={`/gear/outfits/${id}`}
        isTrash={isTrash}
        actions={{ ...actions, moveToTrash: () => void remove(saved) }}
      >
        {outfit.marking && <p className="text-sm">{outfit.marking}</p>}
      </DocumentHead>
      {question}
      {!isTrash && (
        <Link to={newTraceAddress({ outfit: id })} className="w-fit text-sm underline">
          Make a trace on it
        </Link>
      )}
      <p className="text-sm text-quiet">
        {show.entered('length', outfit.rod.lengthM)} rod, {show.entered('strength', outfit.rod.ratingLowN)} to{' '}
        {show.entered('strength', outfit.rod.ratingHighN)}; drag up to {show.computed('strength', outfit.reel.highestDragN)}
        {facts && `; spool ${percent(facts.fillShare)} full`}
      </p>
      <ul>
        {outfit.wound.toReversed().map((line) => (
          <li key={line.role} className="flex justify-between gap-3">
            <span className="text-quiet">{WOUND_NAMES[line.role]}</span>
            <span>
              {lineSpec(catalogue, line, show)}
              {line.lengthM !== undefined && `, ${show.entered('length', line.lengthM)}`}
            </span>
          </li>
        ))}
      </ul>
      {remarks.map((remark) => (
        <p key={remark} className="text-sm text-watch">
          {remark}
        </p>
      ))}
    </li>
  )
}
