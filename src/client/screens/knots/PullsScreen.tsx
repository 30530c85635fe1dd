import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Download } from 'lucide-react'
import { Link } from 'react-router'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { Material } from '../../../core/catalogue/ids.ts'
import type { Pull } from '../../../core/documents/observation.ts'
import { isKnot } from '../../../core/knots/choose.ts'
import type { KnotId } from '../../../core/knots/facts.ts'
import { type KnotLesson, knotLesson } from '../../../core/learning/knotLessons.ts'
import { percent } from '../../../core/units/percent.ts'
import { QUANTITIES } from '../../../core/units/quantities.ts'
import { OBSERVATIONS, pullsQuery, straightsQuery } from '../../api/observations.ts'
import { useNominalCatalogue } from '../../catalogue/useCatalogue.ts'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { download } from '../../ui/download.ts'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { knotPath } from '../../words/knotAddress.ts'
import { ImportPulls } from './ImportPulls.tsx'
import { LinesPulled } from './LinesPulled.tsx'
import { WhatNext } from './WhatNext.tsx'
import { WhichIsBetter } from './WhichIsBetter.tsx'

const DEFAULT_N = 30 * QUANTITIES.strength.units.lb

/** Everything that was pulled, by knot and material; in and out as a table; and which of two is the better, and how sure. */
export default function PullsScreen() {
  usePageTitle('Your tests')
  const nominal = useNominalCatalogue()
  const query = useQuery(pullsQuery)
  const client = useQueryClient()
  const pulls = query.data ?? []
  const straights = useQuery(straightsQuery).data ?? []
  const save = async () => {
    const { writePullCsv } = await import('../../../files/pullCsv.ts')
    download('pulls.csv', 'text/csv', writePullCsv([...pulls, ...straights]))
  }
  return (
    <div className="p-3 sm:px-6">
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <Link to="/knots" className={buttonClass('quiet')}>
          All knots
        </Link>
        <h1 className="mr-auto text-xl font-bold">Your tests</h1>
        <Link to="/knots/test" className={buttonClass('strong')}>
          Pull test
        </Link>
        <ImportPulls onTaken={() => client.invalidateQueries(OBSERVATIONS)} />
        <Button tone="quiet" disabled={pulls.length + straights.length === 0} onClick={save}>
          <Download className="size-4" aria-hidden="true" /> Export as CSV
        </Button>
      </div>
      {query.error && !query.data ? (
        <Failed what="Your tests" error={query.error} onRetry={() => query.refetch()} />
      ) : query.isPending ? (
        <Loading what="your tests" />
      ) : (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_26rem]">
          <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
            <Sheet title="Results">
              {pulls.length === 0 ? (
                <Empty title="No tests yet">Choose a knot, tie a few samples and test them on a scale. Or import a table.</Empty>
              ) : (
                <Pulled lessons={lessonsOf(nominal, pulls)} />
              )}
            </Sheet>
            <LinesPulled straights={straights} />
          </div>
          <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
            <WhichIsBetter pulls={pulls} />
            <WhatNext pulls={pulls} />
          </div>
        </div>
      )}
    </div>
  )
}

type Row = { id: KnotId; material: Material; lesson: KnotLesson }

function lessonsOf(nominal: Catalogue, pulls: readonly Pull[]): Row[] {
  const pairs = new Map(pulls.map(({ connection, material }) => [`${connection} ${material}`, { connection, material }]))
  return [...pairs.values()].flatMap(({ connection, material }): Row[] => {
    const lesson = isKnot(connection) ? knotLesson(nominal, pulls, connection, material) : undefined
    return lesson && isKnot(connection) ? [{ id: connection, material, lesson }] : []
  })
}

/** Columns that are a line under the knot on a narrow screen. */
const WIDE = new Set(['in', 'tests', 'slipped'])
const HEADS = ['knot', ...WIDE, 'nominal', 'yours', '90 % range']
const onlyWide = 'max-sm:hidden'

function Pulled({ lessons }: { lessons: readonly Row[] }) {
  const { connections, materials } = useNominalCatalogue()
  return (
    <ScrollAcross label="Results">
      <table className="w-full">
        <thead>
          <tr className="text-left text-sm text-quiet">
            {HEADS.map((name) => (
              <th key={name} scope="col" className={`pr-3 pb-1 font-normal ${WIDE.has(name) ? onlyWide : ''}`}>
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {lessons.map(({ id, material, lesson: { prior, posterior, breaks, slipped } }) => (
            <tr key={`${id} ${material}`} className="border-t border-rule">
              <th scope="row" className="py-1.5 pr-3 text-left font-semibold">
                <Link
                  to={knotPath(id, { lines: [{ material, strengthN: DEFAULT_N }], turns: undefined })}
                  className="underline decoration-rule"
                >
                  {connections[id].name}
                </Link>
                <span className="block text-sm font-normal text-quiet sm:hidden">
                  {materials[material].name}, {breaks.length === 1 ? '1 test' : `${breaks.length} tests`}
                  {slipped > 0 && `, ${slipped} slipped`}
                </span>
              </th>
              <td className={`pr-3 ${onlyWide}`}>{materials[material].name}</td>
              <td className={`pr-3 ${onlyWide}`}>{breaks.length}</td>
              <td className={`pr-3 ${onlyWide}`}>{slipped || '–'}</td>
              <td className="pr-3">{percent(prior.mean)}</td>
              <td className="pr-3 font-semibold">{percent(posterior.mean)}</td>
              <td className="whitespace-nowrap">
                {percent(posterior.low)} to {percent(posterior.high)}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </ScrollAcross>
  )
}
