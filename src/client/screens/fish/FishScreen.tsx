import { useQuery } from '@tanstack/react-query'
import { Download, Plus } from 'lucide-react'
import { useState } from 'react'
import { copyName } from '../../../core/documents/text.ts'
import { binnedQuery, fishQuery, listQuery, type SavedFish } from '../../api/documents.ts'
import { type DocumentActions, useDocumentActions } from '../../api/useDocumentActions.ts'
import { useKeep } from '../../api/useKeep.ts'
import { useShow } from '../../settings/preferences.tsx'
import { ImportTable } from '../../tables/ImportTable.tsx'
import { Button } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { UnreadableList } from '../../ui/UnreadableList.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { FEEDS_WORDS, TEETH_WORDS, traitsOf } from '../../words/fishWords.ts'
import { percent } from '../../words/percent.ts'
import { FishPanel } from './FishPanel.tsx'

/** The fish that are fished for: what the bench asks hook and landing of. */
export default function FishScreen() {
  usePageTitle('Fish')
  const [bin, setBin] = useState(false)
  const [editing, setEditing] = useState<SavedFish | 'new'>()
  const here = useQuery(fishQuery)
  const binned = useQuery({ ...binnedQuery('fish'), enabled: bin })
  const unreadable = useQuery(listQuery('fish')).data?.unreadable ?? []
  const actions = useDocumentActions({
    kind: 'fish',
    nameOf: ({ name }) => name,
    copyOf: (fish) => ({ ...fish, name: copyName(fish.name) }),
  })
  const keeping = useKeep('fish', editing, () => setEditing(undefined))
  const save = async () => {
    const { writeFishCsv } = await import('../../../files/fishCsv.ts')
    download('fish.csv', 'text/csv', writeFishCsv((here.data ?? []).map(({ content }) => content)))
  }
  const query = bin ? binned : here
  const fish = bin ? binned.data?.documents : here.data
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">{bin ? 'Fish in the bin' : 'Fish'}</h1>
        {!bin && (
          <>
            <ImportTable kind="fish" owned={here.data ?? []} nothingNew="All of it is here already." />
            <Button tone="quiet" disabled={!here.data?.length} onClick={save}>
              <Download className="size-4" aria-hidden="true" /> Export as CSV
            </Button>
          </>
        )}
        <Button tone="quiet" onClick={() => setBin(!bin)}>
          {bin ? 'Back to the fish' : 'Bin'}
        </Button>
        <Button tone="strong" onClick={() => setEditing('new')}>
          <Plus className="size-4" aria-hidden="true" /> New fish
        </Button>
      </div>
      <p className="mb-3 max-w-prose text-quiet">
        Chosen under a trace’s conditions, a fish says what is landed and how wide its mouth is for the hook. All of it is about a
        usual one, and yours to change; size limits are the rule book’s.
      </p>
      <UnreadableList unreadable={unreadable} />
      {query.error && !fish ? (
        <Failed what="The fish" error={query.error} onRetry={() => query.refetch()} />
      ) : !fish ? (
        <Loading what="the fish" />
      ) : fish.length === 0 ? (
        <Empty title={bin ? 'No fish is in the bin' : 'No fish yet'}>
          {bin ? 'What is put here can be taken back.' : 'Put in the first that you fish for: its weight, its length, its mouth.'}
        </Empty>
      ) : (
        <FishTable fish={fish} bin={bin} onEdit={setEditing} actions={actions} />
      )}
      {editing && <FishPanel fish={editing === 'new' ? undefined : editing.content} {...keeping} />}
    </div>
  )
}

const HEADS = ['fish', 'usual', 'large', 'mouth across', 'teeth', 'feeds', 'takes and fights', '']

type TableProps = {
  fish: readonly SavedFish[]
  bin: boolean
  onEdit: (fish: SavedFish) => void
  actions: DocumentActions<'fish'>
}

function FishTable({ fish, bin, onEdit, actions }: TableProps) {
  const show = useShow()
  return (
    <ScrollAcross label="All fish" className="relative rounded-lg border border-rule bg-sheet">
      <table className="w-full min-w-[56rem] text-sm">
        <thead>
          <tr className="text-left text-quiet">
            {HEADS.map((head) => (
              <th key={head} scope="col" className="px-2.5 py-1.5 font-normal">
                {head || <span className="sr-only">change</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {fish.map((each) => {
            const { content: of } = each
            const size = (kg: number, m: number) => `${show.entered('fish', kg)}, ${show.entered('length', m)}`
            return (
              <tr key={each.id} className="border-t border-rule align-top">
                <th scope="row" className="px-2.5 py-1.5 text-left font-semibold">
                  {of.name}
                </th>
                <td className="px-2.5 py-1.5 whitespace-nowrap">{size(of.typicalMassKg, of.typicalLengthM)}</td>
                <td className="px-2.5 py-1.5 whitespace-nowrap">{size(of.largeMassKg, of.largeLengthM)}</td>
                <td className="px-2.5 py-1.5 whitespace-nowrap">
                  {(1000 * of.typicalLengthM * of.mouthWidthShare).toFixed(0)} mm, {percent(of.mouthWidthShare)}
                </td>
                <td className="px-2.5 py-1.5">{TEETH_WORDS[of.teeth]}</td>
                <td className="px-2.5 py-1.5">{FEEDS_WORDS[of.feeds]}</td>
                <td className="px-2.5 py-1.5">
                  {traitsOf(of)}
                  {of.notes && <span className="block text-quiet">{of.notes}</span>}
                </td>
                <td className="px-1 py-0.5 whitespace-nowrap">
                  {bin ? (
                    <Button tone="quiet" onClick={() => actions.restore(each.id)} aria-label={`Take ${of.name} back`}>
                      Take back
                    </Button>
                  ) : (
                    <>
                      <Button tone="quiet" onClick={() => onEdit(each)} aria-label={`Change ${of.name}`}>
                        Change
                      </Button>
                      <Button tone="quiet" onClick={() => actions.duplicate(each)} aria-label={`Duplicate ${of.name}`}>
                        Copy
                      </Button>
                      <Button tone="quiet" onClick={() => actions.bin(each.id)} aria-label={`Put ${of.name} in the bin`}>
                        Bin
                      </Button>
                    </>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </ScrollAcross>
  )
}
