import { Download } from 'lucide-react'
import { strikeWords } from '../../core/advice/strike.ts'
import { FREE_GAPE, hookSuggest, LIVE_MASS_SHARE, MOUTH_SHARE } from '../../core/catalogue/hookSuggest.ts'
import type { Take, TakeHook } from '../../core/moments/take.ts'
import { COVERAGE } from '../../core/moments/thresholds.ts'
import { mainLine } from '../../core/outfits/outfitLines.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { percent } from '../../core/units/percent.ts'
import { trueSizeSvg } from '../charts/standaloneSvg.ts'
import { TakeChart } from '../charts/TakeChart.tsx'
import { VerdictMark } from '../fishing/VerdictMark.tsx'
import type { Show } from '../settings/show.ts'
import { Button } from '../ui/controls.tsx'
import { download, fileName } from '../ui/download.ts'
import { useWidth } from '../ui/useWidth.ts'
import { theName } from '../words/placeWords.ts'
import { TEETH_FIGURE } from '../words/teethWords.ts'
import type { MomentView } from './momentView.ts'
import { useWording } from './useWording.ts'

export const TAKE_VIEW: MomentView<Take> = {
  rule: () =>
    `Half of the gap free of bait holds, ${percent(FREE_GAPE.watch)} is watch. Also judged: a hook up to ${percent(LIVE_MASS_SHARE.holds)} of the weight of a live bait and ${percent(MOUTH_SHARE.holds)} of the mouth width; linked hooks over ${percent(COVERAGE.least)} to ${percent(COVERAGE.most)} of the bait; a wire that holds the drag.`,
  absent: () => 'No hook has a bait.',
  figure: ({ deciding }, { show }) => causeWords(deciding, show),
  decides: ({ deciding, decides }, { nameOf }) => `Weakest: ${nameOf(decides)} ${deciding.hook.size}`,
  inputs: {
    gape: 'gape',
    baitDepth: 'bait depth',
    buried: 'bait in the gap',
    freeGape: 'gap left free',
    baitMass: 'bait',
    hookMass: 'hook',
    massShare: 'hook over bait, by weight',
    mouth: 'mouth of the fish',
    widthShare: 'hook over mouth width',
    drag: 'drag setting',
    straightensAt: 'hook opens at',
    hooksInBait: 'hooks in the bait',
    hookSpan: 'first eye to last bend',
    coverage: 'of the bait’s length',
  },
  words: () => ({}),
  Why: TakeWhy,
}

/** What decides of a hook, in one line. */
function causeWords({ worst: { cause, figure } }: TakeHook, show: Show): string {
  const { value } = figure
  switch (cause) {
    case 'freeGape':
      return value < 0 ? 'The bait is thicker than the gap.' : `The bait leaves ${percent(value)} of the gap open.`
    case 'massShare':
      return `The hook weighs ${show.percent(value, 1)} of a live bait.`
    case 'widthShare':
      return `The hook is ${percent(value)} of the mouth width.`
    case 'straightenMargin':
      return `The hook opens at ${show.number(value, 1)} times the drag.`
    case 'coverage':
      return `The hooks span ${percent(value)} of the bait.`
    case 'kind':
      return 'Another hook type suits this fish.'
    case 'spin':
      return 'The bait spins and no swivel is near.'
    case 'teeth':
      return TEETH_FIGURE
  }
}

/** The drawing beside a button as a file in true size, to lay a real bait and hook on. */
function saveCard(button: HTMLElement, size: string) {
  const svg = button.closest('figure')?.querySelector('svg')
  const title = `bait on ${size}, true size`
  if (svg) download(fileName(title, 'svg'), 'image/svg+xml', trueSizeSvg(svg, title))
}

/** Each baited hook to scale, what its sizes would do, and how to strike with it. */
function TakeWhy({ result: { hooks, deciding }, setup }: { result: Take; setup: Setup }) {
  const { catalogue, show } = useWording(setup)
  const { ref, width } = useWidth<HTMLDivElement>()
  const { sizes } = hookSuggest(catalogue, { pattern: deciding.hook.pattern, ...deciding.wanted })
  return (
    <div ref={ref} className="mb-3 grid gap-3 text-sm">
      {hooks.map((each) => (
        <figure key={each.bait.id} className="grid gap-1">
          <TakeChart baited={each} freeGape={each.fit.freeGape} widthPx={width || 300} />
          <figcaption className="flex flex-wrap items-center justify-between gap-x-2">
            <span>
              {theName(setup.trace, each.hook.id)}: {causeWords(each, show)}
            </span>
            <VerdictMark verdict={each.verdict} />
          </figcaption>
          <Button tone="quiet" className="justify-self-start" onClick={(event) => saveCard(event.currentTarget, each.hook.size)}>
            <Download className="size-4" /> Card in true size
          </Button>
        </figure>
      ))}
      <p className="text-quiet">The bar is the open part of the gap. Dotted: the next sizes.</p>
      <table>
        <caption className="text-left text-quiet">Sizes of this pattern, best first</caption>
        <tbody>
          {sizes.map(({ size, freeGape, why }) => (
            <tr key={size} className="border-t border-rule">
              <th scope="row" className="py-0.5 pr-2 text-left font-normal">
                {size}
              </th>
              <td className="pr-2 text-right whitespace-nowrap">{freeGape < 0 ? 'none open' : `${percent(freeGape)} free`}</td>
              <td className="text-quiet">{why}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        {strikeWords(deciding.hook.pattern, deciding.body.alive, {
          material: mainLine(setup.outfit).material,
          outM: setup.conditions.lineOutM,
          opensAt: deciding.fit.straightenMargin,
        })}
      </p>
    </div>
  )
}
