import { Download, Pencil, Plus } from 'lucide-react'
import { useState } from 'react'
import type { Fish } from '../../../core/documents/fish.ts'
import { percent } from '../../../core/units/percent.ts'
import type { SavedFish } from '../../api/documents.ts'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import { DocumentList } from '../../documents/DocumentList.tsx'
import { ImportTable } from '../../documents/ImportTable.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { FEEDS_WORDS, TEETH_WORDS, traitsOf } from '../../words/fishWords.ts'
import { FishPanel } from './FishPanel.tsx'

/** The fish that traces are for: their size and mouth decide hook and landing. */
export default function FishScreen() {
  usePageTitle('Fish')
  const [editing, setEditing] = useState<SavedFish | 'new'>()
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <DocumentList
        kind="fish"
        title="Fish"
        searchText={({ name, notes }) => `${name} ${notes ?? ''}`}
        actions={(fish) => (
          <>
            <ImportTable kind="fish" owned={fish} nothingNew="Every fish in this file is here already." />
            <Button tone="quiet" disabled={fish.length === 0} onClick={() => exportAll(fish.map(({ content }) => content))}>
              <Download className="size-4" aria-hidden="true" /> Export as CSV
            </Button>
            <Button tone="strong" onClick={() => setEditing('new')}>
              <Plus className="size-4" aria-hidden="true" /> New fish
            </Button>
          </>
        )}
        empty={{ title: 'No fish yet', text: 'Add the fish you are after: its weight, its length and its mouth.' }}
      >
        {(fish, isTrash, actions) => (
          <>
            <p className="max-w-prose text-quiet">
              A trace made for a fish is judged by that fish: its weight when you land it, its mouth for the hook. The values are
              for a usual fish, and yours to change. For size limits, see your local rules.
            </p>
            <FishTable fish={fish} isTrash={isTrash} onEdit={setEditing} actions={actions} />
          </>
        )}
      </DocumentList>
      {editing && <FishPanel saved={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </div>
  )
}

async function exportAll(fish: readonly Fish[]) {
  const { writeFishCsv } = await import('../../../files/fishCsv.ts')
  download('fish.csv', 'text/csv', writeFishCsv(fish))
}

const HEADS = ['fish', 'usual', 'large', 'mouth across', 'teeth', 'feeds', 'takes and fights', 'actions']

type TableProps = {
  fish: readonly SavedFish[]
  isTrash: boolean
  onEdit: (fish: SavedFish) => void
  actions: DocumentActions<'fish'>
}

function FishTable({ fish, isTrash, onEdit, actions }: TableProps) {
  const show = useShow()
  return (
    <ScrollAcross label="All fish" className="relative rounded-lg border border-rule bg-sheet">
      <table className="w-full min-w-[56rem] text-sm">
        <thead>
          <tr className="text-left text-quiet">
            {HEADS.map((head) => (
              <th key={head} scope="col" className="px-2.5 py-1.5 font-normal">
                {head === 'actions' ? <span className="sr-only">{head}</span> : head}
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
                <th scope="row" className="px-2.5 py-1.5 text-left font-semibold" translate="no">
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
                  {!isTrash && (
                    <Button tone="quiet" title="Edit" onClick={() => onEdit(each)} aria-label={`Edit ${of.name}`}>
                      <Pencil className="size-4" aria-hidden="true" />
                    </Button>
                  )}
                  <DocumentButtons id={each.id} name={of.name} saved={each} isTrash={isTrash} actions={actions} />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </ScrollAcross>
  )
}
