import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { hookPieces, isLine } from '../../../core/documents/pieces.ts'
import { fuseOf } from '../../../core/moments/fuse.ts'
import { prepareSetup } from '../../../core/setup/prepareSetup.ts'
import { endsOf, lineAlongM, pathToPiece } from '../../../core/soundness/paths.ts'
import type { Label } from '../../../shared/print.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import type { SavedTied } from '../../api/tied.ts'
import { spoken } from '../../regional/spoken.ts'
import type { Show } from '../../settings/show.ts'
import { cardAddress } from '../../words/addresses.ts'
import { lineSpec, linkName, pieceSpec } from '../../words/names.ts'

/** What goes on the label of a tied trace: name, line, hook, fuse, length and date; its code leads to its card. */
export function labelOf(
  { id, content: { name, tiedOn } }: SavedTied,
  design: { content: TraceContent; outfit: Outfit } | undefined,
  { show, catalogue, base }: { show: Show; catalogue: Catalogue; base: string },
): Label {
  const tied = `tied ${show.date(tiedOn)}`
  const lines = design ? [...designLines(design.content, design.outfit, catalogue, show), tied] : [tied]
  return { title: name, lines: lines.map(spoken), address: `${base}${cardAddress(id)}` }
}

function designLines({ trace, conditions }: TraceContent, outfit: Outfit, catalogue: Catalogue, show: Show): string[] {
  const line = trace.pieces.find(isLine)
  const hooks = [...new Set(hookPieces(trace).map((hook) => pieceSpec(catalogue, hook, show)))]
  const ends = endsOf(trace)
  const longestM = Math.max(0, ...ends.map(({ id }) => lineAlongM(pathToPiece(trace, id))))
  const hook = ends.find(({ role }) => role === 'hook' || role === 'lure')
  const setup = { trace, outfit, conditions, catalogue }
  const fuse = hook && fuseOf(prepareSetup(setup).path(hook.id))
  return [
    [line && lineSpec(catalogue, line, show), hooks.join(', ')].filter(Boolean).join(', '),
    ...(fuse ? [`breaks first: ${linkName(setup, fuse.ref)}`] : []),
    show.entered('length', Number(longestM.toFixed(2))),
  ]
}
