import type { HookPiece } from '../../documents/trace.ts'
import { withFields } from '../../edit/changes.ts'
import { say } from '../../units/phrase.ts'
import type { Judged, Rule } from '../finding.ts'
import { called } from '../remedies.ts'

type Kind = {
  asked: (judged: Judged) => boolean | undefined
  breaks: (hook: HookPiece, judged: Judged) => boolean
  words: string
  label: string
  change: (hook: HookPiece, judged: Judged) => Partial<HookPiece>
}

/** A kind of hook that the rule in force asks for, and the hooks that are not of it. */
export function hookKindRule(id: string, { asked, breaks, words, label, change }: Kind): Rule {
  return {
    id,
    check: (judged) => {
      const { ruleSet, setup } = judged
      if (!ruleSet || !asked(judged)) return []
      const { trace } = setup
      const [first, ...others] = trace.pieces.flatMap((hook) => (hook.role === 'hook' && breaks(hook, judged) ? [hook] : []))
      if (!first) return []
      const named = called(trace, first.id)
      const subject = others.length === 0 ? `${named} is not one` : `${named} and ${others.length} more are not`
      return [
        {
          about: [first, ...others].map(({ id }) => id),
          severity: 'caution',
          why: say`“${ruleSet.name}” requires ${words}, and ${subject}. Last checked ${ruleSet.checkedOn}.`,
          figure: 1 + others.length,
          remedies: [
            {
              label,
              make: () => ({
                trace: [first, ...others].reduce((made, hook) => withFields(made, hook.id, change(hook, judged)), trace),
              }),
            },
          ],
        },
      ]
    },
  }
}
