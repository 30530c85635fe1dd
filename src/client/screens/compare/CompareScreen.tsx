import { useQueries, useQuery } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { leverNamed } from '../../../core/analysis/levers.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { documentQuery, outfitsQuery, revisionQuery, type SavedOutfit, type SavedTrace } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { CompareTable } from './CompareTable.tsx'
import { DifferenceColumns } from './DifferenceColumns.tsx'
import { RushCurves } from './RushCurves.tsx'
import { SensitivityBars } from './SensitivityBars.tsx'
import type { Side } from './side.ts'
import { WhatIf, type WhatIfSetting } from './WhatIf.tsx'

const MOST = 3

/** Two or three traces or revisions side by side: verdicts, figures, what differs, what if, and what moves the verdict most. */
export default function CompareScreen() {
  usePageTitle('Compare')
  const [search] = useSearchParams()
  const wanted = [...new Set((search.get('with') ?? '').split(',').filter(Boolean))].slice(0, MOST)
  const traces = useQueries({
    queries: wanted.map((each) => {
      const [id = '', revision] = each.split('@')
      return revision ? revisionQuery('traces', id, Number(revision)) : documentQuery('traces', id)
    }),
  })
  const outfits = useQuery(outfitsQuery)
  const error = traces.find((query) => query.error && !query.data)?.error ?? (outfits.data ? null : outfits.error)
  if (wanted.length < 2)
    return (
      <div className="p-3 sm:px-6">
        <h1 className="text-xl font-bold">Compare</h1>
        <Empty title="Nothing to compare yet">
          <Link to="/traces" className="underline">
            Choose two or three traces in the library
          </Link>
          , or a revision in the history of a trace.
        </Empty>
      </div>
    )
  if (error)
    return (
      <Failed
        isPage
        what="The comparison"
        error={error}
        onRetry={() => {
          for (const query of traces) query.refetch()
          outfits.refetch()
        }}
      />
    )
  const saved = traces.flatMap(({ data }) => (data ? [data] : []))
  if (saved.length < wanted.length || !outfits.data) return <Loading what="the comparison" />
  return <Compared key={wanted.join()} wanted={wanted} saved={saved} outfits={outfits.data} />
}

function Compared({ wanted, saved, outfits }: { wanted: string[]; saved: SavedTrace[]; outfits: SavedOutfit[] }) {
  const catalogue = useCatalogue()
  const [whatIf, setWhatIf] = useState<WhatIfSetting>({ lever: 'dragN', factor: 1 })
  const sides = useMemo(
    () =>
      saved.flatMap(({ content, revision }, i): Side[] => {
        const outfit = outfits.find(({ id }) => id === content.outfitId)?.content
        if (!outfit) return []
        const key = wanted[i] ?? ''
        const title = key.includes('@') ? `${content.trace.name}, revision ${revision}` : content.trace.name
        const { trace, conditions } = content
        return [{ key, title, content, setup: { trace, outfit, conditions, catalogue } }]
      }),
    [saved, outfits, wanted, catalogue],
  )
  const supposed = useMemo(() => sides.map((side) => ({ ...side, setup: suppose(side.setup, whatIf) })), [sides, whatIf])
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <h1 className="text-xl font-bold">Compare</h1>
      {sides.length < saved.length && (
        <p role="alert" className="rounded-lg border border-watch bg-sheet p-3">
          One outfit is in the trash, so that trace is not shown.
        </p>
      )}
      <WhatIf setting={whatIf} onChange={setWhatIf} sides={sides} supposed={supposed} />
      <CompareTable sides={supposed} />
      <RushCurves sides={supposed} />
      <DifferenceColumns sides={sides} />
      <SensitivityBars sides={supposed} />
    </div>
  )
}

/** A trace with one value so many times as large; unchanged where it has no such value. */
function suppose(setup: Setup, { lever, factor }: WhatIfSetting): Setup {
  if (factor === 1) return setup
  return leverNamed(setup, MOMENT_NAMES, lever)?.scaled(factor) ?? setup
}
