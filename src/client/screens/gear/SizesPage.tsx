import { Download, Printer } from 'lucide-react'
import { useId, useMemo, useRef, useState } from 'react'
import { HOOK_PATTERN_IDS, type HookPattern } from '../../../core/catalogue/ids.ts'
import { hookCard } from '../../../core/layout/hookCard.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { HookCardDrawing } from '../../charts/HookCardDrawing.tsx'
import { trueSizeSvg } from '../../charts/standaloneSvg.ts'
import { usePreferences } from '../../settings/preferences.tsx'
import { Button, Field, Select, Sheet } from '../../ui/controls.tsx'
import { download, fileName } from '../../ui/download.ts'
import { ScrollAcross } from '../../ui/ScrollAcross.tsx'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { useWidth } from '../../ui/useWidth.ts'
import { MeasureOnScreen } from './MeasureOnScreen.tsx'
import { ScreenScale } from './ScreenScale.tsx'

/** Width of paper that a card is laid out for at least and at most, mm. */
const CARD_MM = { least: 100, most: 190 }

/** Every size of two patterns side by side in true size, on the screen and on paper; and a hook or bait measured on the screen. */
export default function SizesPage() {
  usePageTitle('Hook sizes')
  const catalogue = useCatalogue()
  const { pxPerMm } = usePreferences()
  const id = useId()
  const measureId = useId()
  const { ref, width } = useWidth<HTMLElement>()
  const drawing = useRef<HTMLDivElement>(null)
  const { sizes } = catalogue.hooks
  const [[first, second], setPatterns] = useState<[HookPattern, HookPattern]>(['j', 'circle'])
  const [[from, to], setRange] = useState<[string, string]>(['6', '8/0'])
  const shown = sizes.slice(sizes.indexOf(from), sizes.indexOf(to) + 1)
  const widthMm = Math.min(CARD_MM.most, Math.max(CARD_MM.least, Math.floor(width / pxPerMm)))
  const card = useMemo(
    () => hookCard(catalogue, first === second ? [first] : [first, second], shown, widthMm),
    [catalogue, first, second, shown, widthMm],
  )
  const patterns = HOOK_PATTERN_IDS.map((each) => ({ value: each, text: catalogue.hooks.patterns[each].name }))
  const label = `Hooks ${from} to ${to}, ${catalogue.hooks.patterns[first].name} and ${catalogue.hooks.patterns[second].name}, in true size`
  const save = () => {
    const svg = drawing.current?.querySelector('svg')
    if (svg) download(fileName(`hooks ${from} to ${to}`, 'svg'), 'image/svg+xml', trueSizeSvg(svg, label))
  }
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] items-start gap-3 lg:grid-cols-[minmax(0,1fr)_24rem]">
      <h1 className="sr-only">Hook sizes</h1>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-3">
        <Sheet
          title="Sizes side by side"
          aside={
            <span className="no-print flex gap-1.5">
              <Button onClick={save}>
                <Download className="size-4" /> Card as SVG
              </Button>
              <Button onClick={() => window.print()}>
                <Printer className="size-4" /> Print
              </Button>
            </span>
          }
        >
          <div className="no-print mb-3 grid gap-2 sm:grid-cols-2 sm:gap-x-6">
            <Field label="pattern" htmlFor={`${id}-first`}>
              <Select id={`${id}-first`} value={first} choices={patterns} onChoose={(next) => setPatterns([next, second])} />
            </Field>
            <Field label="beside" htmlFor={`${id}-second`}>
              <Select id={`${id}-second`} value={second} choices={patterns} onChoose={(next) => setPatterns([first, next])} />
            </Field>
            <Field label="from" htmlFor={`${id}-from`}>
              <Select
                id={`${id}-from`}
                value={from}
                choices={sizes.slice(0, sizes.indexOf(to) + 1).map((size) => ({ value: size, text: size }))}
                onChoose={(next) => setRange([next, to])}
              />
            </Field>
            <Field label="to" htmlFor={`${id}-to`}>
              <Select
                id={`${id}-to`}
                value={to}
                choices={sizes.slice(sizes.indexOf(from)).map((size) => ({ value: size, text: size }))}
                onChoose={(next) => setRange([from, next])}
              />
            </Field>
          </div>
          <ScrollAcross ref={ref} label="The card">
            <div ref={drawing}>
              <HookCardDrawing card={card} label={label} />
            </div>
          </ScrollAcross>
          <p className="mt-2 text-sm text-quiet">
            Nominal sizes; makers differ. Lay your hooks on the card. Sizes you measure and save replace them.
          </p>
        </Sheet>
        <div id={measureId} className="no-print">
          <MeasureOnScreen />
        </div>
      </div>
      <div className="no-print grid grid-cols-[minmax(0,1fr)] gap-3 max-lg:order-first">
        <ScreenScale />
        <a href={`#${measureId}`} className="text-tide underline">
          Measure a hook or a bait on this screen
        </a>
      </div>
    </div>
  )
}
