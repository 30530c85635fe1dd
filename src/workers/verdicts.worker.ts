import { judged, worstVerdict } from '../core/analysis/judged.ts'
import { readList } from '../shared/documentKinds.ts'
import { answer } from './answer.ts'
import type { VerdictsRequest, VerdictsResult } from './verdicts.protocol.ts'

answer<VerdictsRequest, VerdictsResult>(({ rows, outfits, catalogue }) =>
  readList('traces', rows).documents.flatMap(({ id, content: { trace, conditions, outfitId } }) => {
    const outfit = outfits.get(outfitId)
    return outfit ? [{ id, worst: worstVerdict(judged({ trace, outfit, conditions, catalogue })) }] : []
  }),
)
