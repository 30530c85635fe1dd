import { useQueryClient } from '@tanstack/react-query'
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react'
import { useNavigate, useSearchParams } from 'react-router'
import { type LinkRef, pieceRef, sameLink, woundRef } from '../../../core/documents/linkRef.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { isLine } from '../../../core/documents/pieces.ts'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import { cutText } from '../../../core/documents/text.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import { MAX_NAME } from '../../../core/documents/vocabulary.ts'
import { pathsOf } from '../../../core/moments/judge.ts'
import type { MomentName } from '../../../core/moments/moments.ts'
import type { EndPath } from '../../../core/setup/prepareSetup.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import type { SavedOutfit, SavedTrace } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useCreate } from '../../documents/useCreation.ts'
import { MAX_PARTS_AT_ONCE, useLaterEvaluation, usePrepared } from '../../moments/useEvaluation.ts'
import { WhyPanel } from '../../moments/WhyPanel.tsx'
import { toast } from '../../regional/toast.ts'
import { Loading } from '../../ui/states.tsx'
import { useMedia } from '../../ui/useMedia.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { useStableCallback } from '../../ui/useStableCallback.ts'
import { type BenchSheet, BenchSide } from './BenchSide.tsx'
import { ConditionsPanel } from './ConditionsPanel.tsx'
import { FindingsPanel, WorstFinding } from './FindingsPanel.tsx'
import { MomentsBand } from './MomentsBand.tsx'
import { MovingView } from './moving/MovingView.tsx'
import { PartPanel } from './PartPanel.tsx'
import { PartRows } from './PartRows.tsx'
import { StaleDialog } from './StaleDialog.tsx'
import { StrengthView } from './StrengthView.tsx'
import { TitleBar } from './TitleBar.tsx'
import { type Bench, useBench } from './useBench.ts'
import { useEdits } from './useEdits.ts'
import { useShortcuts } from './useShortcuts.ts'
import { VerdictNews } from './VerdictNews.tsx'
import { VerdictStrip } from './VerdictStrip.tsx'

type Props = {
  saved: SavedTrace
  outfits: SavedOutfit[]
  ruleSet: RuleSet | undefined
  ownedSinkersKg: readonly number[]
}

/** The bench of one trace: verdicts, reach and profile, and the settings of whatever is chosen; where it is narrow, the reach is a list. */
export default function BenchBody(props: Props) {
  const { saved, outfits } = props
  const bench = useBench(saved)
  usePageTitle('Bench', bench.content.trace.name)
  const outfit = outfits.find(({ id }) => id === bench.content.outfitId)?.content
  if (!outfit)
    return (
      <div className="grid gap-3 p-3 sm:px-6">
        <TitleBar bench={bench} saved={saved} outfits={outfits} />
        <p role="alert" className="rounded-lg border border-watch bg-sheet p-3">
          The outfit of this trace is in the trash. Choose another one above.
        </p>
      </div>
    )
  return <BenchOn {...props} bench={bench} outfit={outfit} />
}

function BenchOn({ bench, saved, outfits, outfit, ruleSet, ownedSinkersKg }: Props & { bench: Bench; outfit: Outfit }) {
  const { trace, conditions } = bench.content
  const catalogue = useCatalogue()
  const setup = useMemo(() => ({ trace, outfit, conditions, catalogue }), [trace, outfit, conditions, catalogue])
  const drawn = useDrawnSetup(setup)
  const prepared = usePrepared(drawn)
  // The results follow the drawing: a value that is stepped is seen in the profile at once.
  const judged = useLaterEvaluation(prepared, ruleSet)
  const later = useDeferredValue(bench)
  const [selected, setSelected] = useState(() => firstLine(trace))
  const [open, setOpen] = useState<MomentName>('run')
  const [side, setSide] = useState<BenchSheet>('part')
  const [end, setEnd] = useState<string>()
  useShortcuts(bench)
  useNoteOfResumed(bench)

  const evaluation = judged?.ok ? judged.value : undefined
  const paths = useMemo(() => (prepared.ok ? pathsOf({ setup: prepared.value }) : []), [prepared])
  const path = paths.find((each) => each.end.id === (end ?? evaluation?.moments.run?.end)) ?? paths[0]
  // A part off the shown path brings its own path up, so that its strength is there to see.
  const select = useStableCallback((ref: LinkRef) => {
    setSelected(ref)
    setSide('part')
    const holds = (each: EndPath) => each.links.some((link) => sameLink(link.ref, ref))
    const other = path && !holds(path) ? paths.find(holds) : undefined
    if (other) setEnd(other.end.id)
  })
  const openMoment = useCallback((moment: MomentName) => {
    setOpen(moment)
    setSide('why')
  }, [])
  const showFindings = useCallback(() => setSide('findings'), [])
  const edits = useEdits(bench, setup, selected, select)
  const links = useMemo(() => path?.links.map((link, i) => ({ ...link, first: path.first[i] ?? 0 })) ?? [], [path])

  const wide = useMedia('md')
  const { moving, setMoving } = useMovingShown()
  const backToBench = useStableCallback(() => setMoving(false))
  const opened = evaluation?.moments[open]
  const why = evaluation && opened && <WhyPanel result={opened} setup={evaluation.setup} />
  const sheets = {
    conditions: <ConditionsPanel bench={bench} evaluation={evaluation} onMoving={() => setMoving(true)} />,
    why: why ?? <p className="p-3 text-quiet">Fix the trace to see results.</p>,
    findings: evaluation && <FindingsPanel bench={later} ruleSet={ruleSet} evaluation={evaluation} />,
  }
  const part = (
    <PartPanel
      bench={bench}
      rig={setup}
      selected={selected}
      links={links}
      prepared={prepared.ok ? prepared.value : undefined}
      ruleSet={ruleSet}
      ownedSinkersKg={ownedSinkersKg}
      edits={edits}
    />
  )

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2 p-3 sm:px-6">
      <TitleBar bench={later} saved={saved} outfits={outfits} />
      {bench.saveError && (
        <p role="alert" className="rounded-md border border-fails px-3 py-2">
          <strong>Not saved.</strong> {bench.saveError.message}
        </p>
      )}
      {!wide && evaluation && <VerdictStrip evaluation={evaluation} />}
      <div className="z-10 bg-ground py-1 md:sticky md:top-0">
        {evaluation ? (
          <>
            <MomentsBand evaluation={evaluation} open={open} onOpen={openMoment} />
            <VerdictNews evaluation={evaluation} />
          </>
        ) : judged?.ok === false ? (
          <p role="alert" className="rounded-lg border border-fails bg-sheet px-3 py-3">
            {judged.message} Undo the last change or correct it below.
          </p>
        ) : (
          <Loading what="the verdicts" />
        )}
      </div>
      {moving ? (
        prepared.ok && <MovingView bench={bench} setup={prepared.value} sinkersKg={ownedSinkersKg} onBack={backToBench} />
      ) : wide ? (
        <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-2 lg:grid-cols-[minmax(0,1fr)_20rem] xl:grid-cols-[minmax(0,1fr)_22rem]">
          <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
            <StrengthView
              rig={drawn}
              paths={paths}
              moments={evaluation?.moments}
              path={path}
              selected={selected}
              onSelect={select}
              onEnd={setEnd}
              edits={edits}
              onSettle={bench.settle}
            />
            {evaluation && side !== 'findings' && (
              <WorstFinding bench={later} ruleSet={ruleSet} evaluation={evaluation} onAll={showFindings} />
            )}
          </div>
          <BenchSide shown={side} onShow={setSide} sheets={{ ...sheets, part }} />
        </div>
      ) : (
        <BenchSide
          shown={side}
          onShow={setSide}
          sheets={{
            ...sheets,
            part: (
              <PartRows rig={drawn} paths={paths} selected={selected} onSelect={select} edits={edits}>
                {part}
              </PartRows>
            ),
          }}
        />
      )}
      <StaleDialog bench={bench} onCopy={useKeepAsNew(bench, saved.id)} />
    </div>
  )
}

/** The setup to draw: a long trace follows the field that is typed in, so that its drawing never holds up the typing. */
function useDrawnSetup(setup: Setup): Setup {
  const later = useDeferredValue(setup)
  return setup.trace.pieces.length > MAX_PARTS_AT_ONCE ? later : setup
}

/** What is chosen to begin with: the first line of the trace. */
function firstLine(trace: Trace): LinkRef {
  const first = trace.pieces.find(isLine) ?? trace.pieces[0]
  return first ? pieceRef(first.id) : woundRef('main')
}

/** Whether the view of how the line moves is shown, kept in the address. */
function useMovingShown() {
  const [search, setSearch] = useSearchParams()
  return {
    moving: search.has('moving'),
    setMoving: (shown: boolean) => setSearch(shown ? { moving: '' } : {}),
  }
}

function useNoteOfResumed(bench: Bench) {
  useEffect(() => {
    if (bench.resumed) toast('Your unsaved changes are back. Undo returns to the saved trace.')
  }, [bench.resumed])
}

function useKeepAsNew(bench: Bench, savedId: string) {
  const navigate = useNavigate()
  const client = useQueryClient()
  const copy = useCreate('traces', {
    onMade: ({ id }) => {
      bench.dismissStale()
      bench.draft.drop()
      void client.invalidateQueries({ queryKey: ['traces', savedId] })
      void navigate(`/traces/${id}`)
    },
    onError: (error) => toast.error(error.message),
  })
  return () => {
    const { content } = bench
    copy.create({ ...content, trace: { ...content.trace, name: cutText(`${content.trace.name}, mine`, MAX_NAME) } })
  }
}
