import { useMutation, useQueries, useQuery } from '@tanstack/react-query'
import { useMemo, useRef } from 'react'
import { tried } from '../../../core/analysis/judged.ts'
import { labelPages, PAPERS } from '../../../core/layout/labelSheet.ts'
import { type Label, labelGrid, MAX_LABELS } from '../../../shared/print.ts'
import { outfitsQuery, revisionQuery } from '../../api/documents.ts'
import { printLabels } from '../../api/print.ts'
import type { SavedTied } from '../../api/tied.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { LabelSheet } from '../../charts/LabelSheet.tsx'
import { trueSizeSvg } from '../../charts/standaloneSvg.ts'
import { useShow } from '../../settings/preferences.tsx'
import { useKeptJson } from '../../settings/useKeptJson.ts'
import { useKeptText } from '../../settings/useKeptText.ts'
import { Button, Field, fieldClass, Select } from '../../ui/controls.tsx'
import { download, downloadFile } from '../../ui/download.ts'
import { NumberField } from '../../ui/NumberField.tsx'
import { Panel } from '../../ui/Panel.tsx'
import { Fault, Loading } from '../../ui/states.tsx'
import { labelOf } from './labelOf.ts'

type Sheet = Extract<Parameters<typeof labelPages>[0], { kind: 'sheet' }>
const SHEET: Sheet = { kind: 'sheet', paper: 'A4', columns: 3, rows: 8, marginXMm: 8, marginYMm: 12, gapMm: 2, skip: 0 }
const SINGLE = { kind: 'single', widthMm: 62, heightMm: 29 } as const

const SHEET_FIELDS = [
  { field: 'columns', label: 'columns', least: 1, most: 10, whole: true },
  { field: 'rows', label: 'rows', least: 1, most: 30, whole: true },
  { field: 'marginXMm', label: 'side margin, mm', least: 0, most: 100, whole: false },
  { field: 'marginYMm', label: 'top margin, mm', least: 0, most: 100, whole: false },
  { field: 'gapMm', label: 'gap, mm', least: 0, most: 50, whole: false },
  { field: 'skip', label: 'used already', least: 0, most: 299, whole: true },
] as const
const SINGLE_FIELDS = [
  { field: 'widthMm', label: 'width, mm', least: 10, most: 500 },
  { field: 'heightMm', label: 'height, mm', least: 10, most: 500 },
] as const

/** Labels for tied traces, on sheets of a chosen grid or one by one, as PDF and as SVG. */
export default function LabelPanel({ tied, onClose }: { tied: readonly SavedTied[]; onClose: () => void }) {
  const [grid, setGrid] = useKeptJson('label-grid', labelGrid, SHEET)
  const [base, setBase] = useKeptText('label-address')
  const labels = useLabels(tied.slice(0, MAX_LABELS), base.trim().replace(/\/$/, '') || location.origin)
  const pages = tried(() => labelPages(grid, labels?.length ?? 1))
  const preview = useRef<HTMLElement>(null)
  const make = useMutation({
    mutationFn: (all: readonly Label[]) => printLabels({ grid, labels: [...all] }),
    onSuccess: (file) => downloadFile('labels.pdf', file),
  })
  const isLocal = /^https?:\/\/(localhost|127\.|\[::1\])/.test(base.trim() || location.origin)
  return (
    <Panel
      open
      onOpenChange={onClose}
      title={`Labels for ${tied.length === 1 ? '1 trace' : `${tied.length} traces`}`}
      about="Each has a code that opens the card of its trace on a phone in the same network."
    >
      <div className="mt-3 grid gap-2">
        <Field label="paper" htmlFor="label-paper">
          <Select
            id="label-paper"
            value={grid.kind === 'single' ? 'single' : grid.paper}
            onChoose={(paper) => setGrid(paper === 'single' ? SINGLE : { ...(grid.kind === 'sheet' ? grid : SHEET), paper })}
            choices={[
              ...(Object.keys(PAPERS) as (keyof typeof PAPERS)[]).map((value) => ({ value, text: `sheet, ${value}` })),
              { value: 'single' as const, text: 'one by one' },
            ]}
          />
        </Field>
        <div className="grid gap-2 sm:grid-cols-2">
          {grid.kind === 'sheet'
            ? SHEET_FIELDS.map(({ field, label, least, most, whole }) => (
                <NumberField
                  key={field}
                  label={label}
                  value={grid[field]}
                  least={least}
                  most={most}
                  whole={whole}
                  onChange={(value) => value !== undefined && setGrid({ ...grid, [field]: value })}
                />
              ))
            : SINGLE_FIELDS.map(({ field, label, least, most }) => (
                <NumberField
                  key={field}
                  label={label}
                  value={grid[field]}
                  least={least}
                  most={most}
                  onChange={(value) => value !== undefined && setGrid({ ...grid, [field]: value })}
                />
              ))}
        </div>
        <Field
          label="address"
          htmlFor="label-address"
          hint={
            isLocal
              ? 'A phone cannot open this address. Start with HOST=0.0.0.0 and enter the address of this computer.'
              : undefined
          }
        >
          <input
            id="label-address"
            className={fieldClass}
            value={base}
            maxLength={200}
            placeholder={location.origin}
            onChange={({ target }) => setBase(target.value)}
          />
        </Field>
        {tied.length > MAX_LABELS && <Fault>Only the first {MAX_LABELS} are printed. Filter the list.</Fault>}
        {!pages.ok && <Fault>{pages.message}</Fault>}
        {make.error && <Fault>{make.error.message}</Fault>}
        {!labels ? (
          <Loading what="the designs" />
        ) : (
          pages.ok && (
            // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must take the focus
            <section ref={preview} aria-label="The sheets" className="grid max-h-72 gap-2 overflow-auto bg-well p-2" tabIndex={0}>
              {pages.value.map((page, i) => (
                <LabelSheet
                  key={`${i} ${page.boxes.length}`}
                  page={page}
                  labels={labels.slice(startOf(pages.value, i)).slice(0, page.boxes.length)}
                  withBar={grid.kind === 'sheet'}
                />
              ))}
            </section>
          )
        )}
        <div className="flex justify-end gap-2">
          <Button
            disabled={!labels || !pages.ok}
            onClick={() => {
              for (const [i, sheet] of [...(preview.current?.querySelectorAll('svg') ?? [])].entries())
                download(`labels-${i + 1}.svg`, 'image/svg+xml', trueSizeSvg(sheet, `Labels ${i + 1}`))
            }}
          >
            SVG
          </Button>
          <Button tone="strong" disabled={!labels || !pages.ok || make.isPending} onClick={() => labels && make.mutate(labels)}>
            PDF
          </Button>
        </div>
      </div>
    </Panel>
  )
}

/** How many labels are on the pages before one. */
const startOf = (pages: ReturnType<typeof labelPages>, page: number): number =>
  pages.slice(0, page).reduce((sum, { boxes }) => sum + boxes.length, 0)

/** The labels, once the designs are there; a design that cannot be read leaves name, date and code. */
function useLabels(tied: readonly SavedTied[], base: string): Label[] | undefined {
  const show = useShow()
  const catalogue = useCatalogue()
  const outfits = useQuery(outfitsQuery)
  const keys = [
    ...new Map(
      tied.map(({ content: { traceId, traceRevision } }) => [`${traceId} ${traceRevision}`, { traceId, traceRevision }]),
    ).entries(),
  ]
  const designs = useQueries({
    queries: keys.map(([, { traceId, traceRevision }]) => revisionQuery('traces', traceId, traceRevision)),
  })
  const isReady = outfits.data !== undefined && designs.every(({ isPending }) => !isPending)
  const contents = designs.map(({ data }) => data?.content)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the designs are new objects in each render; they change when one arrives
  return useMemo(() => {
    if (!isReady) return undefined
    const byKey = new Map(keys.map(([key], i) => [key, contents[i]]))
    return tied.map((each) => {
      const content = byKey.get(`${each.content.traceId} ${each.content.traceRevision}`)
      const outfit = outfits.data?.find(({ id }) => id === content?.outfitId)?.content
      const words = { show, catalogue, base }
      const whole = content && outfit ? tried(() => labelOf(each, { content, outfit }, words)) : undefined
      return whole?.ok ? whole.value : labelOf(each, undefined, words)
    })
  }, [tied, isReady, show, catalogue, base, outfits.data])
}
