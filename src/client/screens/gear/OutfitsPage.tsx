import { useQuery } from '@tanstack/react-query'
import { Copy, Plus, Trash2, Undo2 } from 'lucide-react'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { copyName } from '../../../core/documents/text.ts'
import { spoolFacts } from '../../../core/setup/spoolFacts.ts'
import { STARTING_OUTFITS } from '../../../core/setup/startingOutfits.ts'
import { binnedQuery, listQuery, outfitsQuery, type SavedOutfit } from '../../api/documents.ts'
import { type DocumentActions, useDocumentActions } from '../../api/useDocumentActions.ts'
import { useCatalogue } from '../../catalogue.tsx'
import { QuickOutfit } from '../../outfits/QuickOutfit.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { UnreadableList } from '../../ui/UnreadableList.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { lineSpec, WOUND_NAMES } from '../../words/names.ts'
import { outfitRemarks } from '../../words/outfitWords.ts'
import { percent } from '../../words/percent.ts'

/** Every outfit: rod, reel and what is wound on it; new ones in a minute, or from one that is offered. */
export default function OutfitsPage() {
  usePageTitle('Outfits')
  const navigate = useNavigate()
  const [bin, setBin] = useState(false)
  const [quick, setQuick] = useState(false)
  const outfits = useQuery(outfitsQuery)
  const binned = useQuery({ ...binnedQuery('outfits'), enabled: bin })
  const unreadable = useQuery(listQuery('outfits')).data?.unreadable ?? []
  const actions = useDocumentActions({
    kind: 'outfits',
    nameOf: ({ name }) => name,
    copyOf: (outfit) => ({ ...outfit, name: copyName(outfit.name) }),
    onCopied: ({ id }) => void navigate(`/gear/outfits/${id}`),
  })
  const query = bin ? binned : outfits
  const shown = bin ? binned.data?.documents : outfits.data
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{bin ? 'Outfits in the bin' : 'Outfits'}</h1>
        <Button tone="quiet" onClick={() => setBin(!bin)}>
          {bin ? 'Back to the outfits' : 'Bin'}
        </Button>
        <Panel
          open={quick}
          onOpenChange={setQuick}
          title="Your outfit in a minute"
          about="Four things from the rod, the reel and the spool of line. All of it can be changed and said more exactly later."
          trigger={
            <Button tone="strong">
              <Plus className="size-4" aria-hidden="true" /> Enter yours in a minute
            </Button>
          }
        >
          <div className="mt-4">
            <QuickOutfit
              onMade={({ id }) => {
                setQuick(false)
                void navigate(`/gear/outfits/${id}`)
              }}
            />
          </div>
        </Panel>
      </div>
      <UnreadableList unreadable={unreadable} />
      {query.error && !shown ? (
        <Failed what="The outfits" error={query.error} onRetry={() => query.refetch()} />
      ) : !shown ? (
        <Loading what="the outfits" />
      ) : shown.length === 0 ? (
        bin ? (
          <Empty title="The bin is empty">An outfit that is put here can be taken back.</Empty>
        ) : (
          <Empty title="No outfit yet">
            Enter yours in a minute, or begin from one below. A trace is tied to an outfit: rod, reel and the line on it.
          </Empty>
        )
      ) : (
        <ul className="grid gap-3 md:grid-cols-2 xl:grid-cols-3">
          {shown.map((saved) => (
            <OutfitCard key={saved.id} saved={saved} bin={bin} actions={actions} />
          ))}
        </ul>
      )}
      {!bin && (
        <Sheet title="Begin from a usual one" aside={<span className="text-sm text-quiet">nominal; change what yours has</span>}>
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
      )}
    </>
  )
}

type CardProps = { saved: SavedOutfit; bin: boolean; actions: DocumentActions<'outfits'> }

function OutfitCard({ saved, bin, actions }: CardProps) {
  const catalogue = useCatalogue()
  const show = useShow()
  const { id, content: outfit } = saved
  const facts = spoolFacts(catalogue, outfit, 0)
  const remarks = outfitRemarks(catalogue, outfit, new Date())
  return (
    <li className="grid content-start gap-1 rounded-lg border border-rule bg-sheet p-3">
      <div className="flex items-start gap-2">
        <div className="mr-auto min-w-0">
          {bin ? (
            <strong>{outfit.name}</strong>
          ) : (
            <Link to={`/gear/outfits/${id}`} className="font-semibold underline decoration-dotted underline-offset-2">
              {outfit.name}
            </Link>
          )}
          {outfit.marking && <p className="text-sm">{outfit.marking}</p>}
        </div>
        {bin ? (
          <Button onClick={() => actions.restore(id)}>
            <Undo2 className="size-4" aria-hidden="true" /> Take back
          </Button>
        ) : (
          <span className="flex">
            <Button
              tone="quiet"
              aria-label={`Duplicate ${outfit.name}`}
              title="Duplicate"
              onClick={() => actions.duplicate(saved)}
            >
              <Copy className="size-4" aria-hidden="true" />
            </Button>
            <Button tone="quiet" aria-label={`Bin ${outfit.name}`} title="Bin" onClick={() => actions.bin(id)}>
              <Trash2 className="size-4" aria-hidden="true" />
            </Button>
          </span>
        )}
      </div>
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
