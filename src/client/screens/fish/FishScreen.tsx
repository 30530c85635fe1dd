import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { Fish } from '../../../core/documents/fish.ts'
import { binDocument, createDocument, fishQuery, restoreDocument, type SavedFish, saveDocument } from '../../api/documents.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { FEEDS_WORDS, TEETH_WORDS, traitsOf } from '../../words/fishWords.ts'
import { percent } from '../../words/percent.ts'
import { FishPanel } from './FishPanel.tsx'

/** The fish that are fished for: what the bench asks hook and landing of. */
export default function FishScreen() {
  usePageTitle('Fish')
  const fish = useQuery(fishQuery)
  const client = useQueryClient()
  const [editing, setEditing] = useState<SavedFish | 'new'>()
  const onSettled = () => client.invalidateQueries({ queryKey: ['fish'] })
  const onError = (error: Error) => toast.error(error.message)
  const keep = useMutation({
    mutationFn: async (content: Fish) => {
      if (editing === 'new' || !editing) return void (await createDocument('fish', content))
      const saved = await saveDocument('fish', editing.id, editing.revision, content)
      if ('stale' in saved) throw new Error('This fish was changed elsewhere since: it is read anew, change it again.')
    },
    onSettled,
    onError,
  })
  const restore = useMutation({ mutationFn: (id: string) => restoreDocument('fish', id), onSettled, onError })
  const bin = useMutation({
    mutationFn: ({ id }: SavedFish) => binDocument('fish', id),
    onSuccess: (_, { id, content }) =>
      toast(`“${content.name}” is in the bin.`, { action: { label: 'Take back', onClick: () => restore.mutate(id) } }),
    onSettled,
    onError,
  })
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-xl font-bold">Fish</h1>
        <Button tone="strong" onClick={() => setEditing('new')}>
          <Plus className="size-4" /> New fish
        </Button>
      </div>
      <p className="mb-3 max-w-prose text-quiet">
        Chosen under a trace’s conditions, a fish says what is landed and how wide its mouth is for the hook. All of it is about a
        usual one, and yours to change; size limits are the rule book’s.
      </p>
      {fish.error && !fish.data ? (
        <Failed what="The fish" error={fish.error} onRetry={() => fish.refetch()} />
      ) : !fish.data ? (
        <Loading what="the fish" />
      ) : fish.data.length === 0 ? (
        <Empty title="No fish yet">Put in the first that you fish for: its weight, its length, its mouth.</Empty>
      ) : (
        <FishTable fish={fish.data} onEdit={setEditing} onBin={(each) => bin.mutate(each)} />
      )}
      {editing && (
        <FishPanel
          fish={editing === 'new' ? undefined : editing.content}
          onDone={(content) => {
            if (content) keep.mutate(content)
            setEditing(undefined)
          }}
        />
      )}
    </div>
  )
}

const HEADS = ['fish', 'usual', 'large', 'mouth across', 'teeth', 'feeds', 'takes and fights', '']

type TableProps = { fish: readonly SavedFish[]; onEdit: (fish: SavedFish) => void; onBin: (fish: SavedFish) => void }

function FishTable({ fish, onEdit, onBin }: TableProps) {
  const show = useShow()
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: on a narrow screen it scrolls sideways, by keyboard too
    <section tabIndex={0} aria-label="All fish" className="relative overflow-x-auto rounded-lg border border-rule bg-sheet">
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
                  <Button tone="quiet" onClick={() => onEdit(each)} aria-label={`Change ${of.name}`}>
                    Change
                  </Button>
                  <Button tone="quiet" onClick={() => onBin(each)} aria-label={`Put ${of.name} in the bin`}>
                    Bin
                  </Button>
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}
