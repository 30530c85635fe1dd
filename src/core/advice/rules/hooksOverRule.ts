import { isOnHook } from '../../documents/pieces.ts'
import { removePart } from '../../edit/removePart.ts'
import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'
import { byEdit, called } from '../remedies.ts'

/** More hooks and lures than the rule in force allows. */
export const hooksOverRule: Rule = {
  id: 'hooks-over-rule',
  check: ({ ruleSet, setup }) => {
    const { trace, ends } = setup
    // A soft lure on its hook counts with it.
    const hooks = ends.filter((end) => end.role === 'hook' || (end.role === 'lure' && !isOnHook(trace, end)))
    const most = ruleSet?.maxHooks
    if (!ruleSet || most === undefined || hooks.length <= most) return []
    const last = hooks.at(-1)
    return [
      {
        severity: 'caution',
        why: say`${hooks.length} hooks and lures, but the limit is ${most} in “${ruleSet.name}”, last checked ${ruleSet.checkedOn}. The local rules decide.`,
        figure: hooks.length / most,
        remedies:
          last && hooks.length === most + 1
            ? [byEdit(`remove ${called(trace, last.id)}`, () => removePart(setup, last.id, { below: true }))]
            : [],
      },
    ]
  },
}
