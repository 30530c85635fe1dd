import { judged, type WorkedOut } from '../../../core/analysis/judged.ts'
import type { Catalogue } from '../../../core/catalogue/catalogue.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { resultsOf } from '../../../core/moments/judge.ts'
import type { Verdict } from '../../../core/moments/moment.ts'
import type { MomentName } from '../../../core/moments/moments.ts'
import type { SavedTrace } from '../../api/documents.ts'

export type MomentVerdicts = WorkedOut<ReadonlyMap<MomentName, Verdict>>

const kept = new WeakMap<SavedTrace, { outfit: Outfit; catalogue: Catalogue; verdicts: MomentVerdicts }>()

/** The verdict of each moment. A trace is judged again only with another outfit or catalogue: cards come and go as the list moves. */
export function keptVerdicts(saved: SavedTrace, outfit: Outfit, catalogue: Catalogue): MomentVerdicts {
  const last = kept.get(saved)
  if (last?.outfit === outfit && last.catalogue === catalogue) return last.verdicts
  const { trace, conditions } = saved.content
  const result = judged({ trace, outfit, conditions, catalogue })
  const verdicts: MomentVerdicts = result.ok
    ? { ok: true, value: new Map(resultsOf(result.value).map(({ moment, verdict }) => [moment, verdict])) }
    : result
  kept.set(saved, { outfit, catalogue, verdicts })
  return verdicts
}
