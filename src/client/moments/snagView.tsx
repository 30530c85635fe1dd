import type { Trace } from '../../core/documents/trace.ts'
import type { Snag } from '../../core/moments/snag.ts'
import { FUSE_CHANCE, WEAK_LINK_CHANCE } from '../../core/moments/thresholds.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { percent } from '../../core/units/percent.ts'
import { fuseWords, shortFuseWords } from '../words/fuseWords.ts'
import { theName } from '../words/placeWords.ts'
import type { MomentView } from './momentView.ts'
import { useWording } from './useWording.ts'

const WANTED = { weakLink: 'weak link breaks first', fuse: 'break at the fuse or beyond' } as const

export const SNAG_VIEW: MomentView<Snag> = {
  rule: () =>
    `A weak link should break first in ${100 * WEAK_LINK_CHANCE.holds} of 100 snags. Without one, the main line should survive in ${10 * FUSE_CHANCE.holds} of 10. Turn your face away when you break out; never wrap line round a hand.`,
  absent: () => 'The trace has no end that can snag.',
  figure: ({ figure, deciding }) =>
    `${deciding.wanted === 'weakLink' ? 'The weak link breaks first' : 'The main line survives'} in ${percent(figure.value)} of snags.`,
  decides: ({ deciding }, { nameOf }) => shortFuseWords(deciding.goesFirst, nameOf),
  inputs: { wantedBreak: 'wanted', weakLinkShare: 'weak link over the weakest other link' },
  words: () => WANTED,
  Why: SnagWhy,
}

function SnagWhy({ result: { paths }, setup }: { result: Snag; setup: Setup }) {
  const { nameOf, show } = useWording(setup)
  return (
    <ul className="mb-2 grid gap-1 text-sm">
      {paths.map(({ end, goesFirst, lost, replacement }) => (
        <li key={end}>
          From {theName(setup.trace, end)}: {fuseWords(goesFirst, nameOf)}; {lostWords(lost, setup.trace)},{' '}
          {show.number(replacement.cost, 2)} units and {replacement.minutes.toFixed(0)} min to re-rig.
        </li>
      ))}
    </ul>
  )
}

/** A few parts by name, many by their number. */
function lostWords(lost: readonly string[], trace: Trace): string {
  if (lost.length === trace.pieces.length) return 'the whole trace is lost'
  if (lost.length > 4) return `${lost.length} of ${trace.pieces.length} parts are lost`
  return `lost: ${lost.map((id) => id.replaceAll('-', ' ')).join(', ')}`
}
