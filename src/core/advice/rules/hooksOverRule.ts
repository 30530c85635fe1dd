import { removePart } from '../../trace/redraw/removePart.ts'
import type { Rule } from '../finding.ts'
import { say } from '../phrase.ts'
import { called, redrawn } from '../remedies.ts'

/** More hooks and lures than the rule in force allows. */
export const hooksOverRule: Rule = {
  id: 'hooks-over-rule',
  check: ({ ruleSet, workings: { trace, outfit, ends } }) => {
    const hooks = ends.filter(({ role }) => role !== 'sinker')
    const most = ruleSet?.maxHooks
    if (!ruleSet || most === undefined || hooks.length <= most) return []
    const last = hooks.at(-1)!
    return [
      {
        severity: 'caution',
        why: say`${hooks.length} hooks and lures against ${most} in “${ruleSet.name}”, last checked ${ruleSet.checkedOn}: the local book decides.`,
        figure: hooks.length / most,
        remedies:
          hooks.length === most + 1
            ? [redrawn(`take off ${called(trace, last.id)}`, () => removePart(trace, outfit, last.id, { below: true }))]
            : [],
      },
    ]
  },
}
