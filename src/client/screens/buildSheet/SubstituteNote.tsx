import { useMemo } from 'react'
import { workedOut } from '../../../core/analysis/judged.ts'
import type { Need } from '../../../core/batch/needs.ts'
import { substitute } from '../../../core/batch/substitute.ts'
import type { Gear } from '../../../core/documents/gear.ts'
import type { Setup } from '../../../core/setup/setup.ts'
import { momentName } from '../../words/momentNames.ts'

type Props = { setup: Setup; need: Need; gear: Gear; isOffer?: boolean }

/** What gear that is not the same thing does to the verdicts of the trace. */
export default function SubstituteNote({ setup, need, gear, isOffer = false }: Props) {
  const result = useMemo(() => workedOut(setup, (each) => substitute(each, need, gear)), [setup, need, gear])
  const does = !result.ok
    ? result.message
    : !result.value.ok
      ? `does not fit here: ${result.value.why}`
      : result.value.changes.length === 0
        ? 'all verdicts stay'
        : result.value.changes.map(({ moment, before, after }) => `${momentName(moment)} ${before} → ${after}`).join(', ')
  const isWorse = result.ok && (!result.value.ok || result.value.changes.some(({ after }) => after !== 'holds'))
  return (
    <p className={`text-sm ${isWorse ? 'text-fails' : 'text-quiet'}`}>
      {isOffer ? 'Nearest in the box: ' : 'With '}
      <span translate="no">{gear.name}</span>: {does}.
    </p>
  )
}
