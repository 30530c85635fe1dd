import type { HookPiece } from '../../documents/trace.ts'
import { withPiece } from '../../edit/changes.ts'
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

/** A kind of hook that the rule in force asks for, and each hook that is not of it. */
export function hookKindRule(id: string, { asked, breaks, words, label, change }: Kind): Rule {
  return {
    id,
    check: (judged) => {
      const { ruleSet, setup } = judged
      if (!ruleSet || !asked(judged)) return []
      return setup.trace.pieces.flatMap((hook) =>
        hook.role === 'hook' && breaks(hook, judged)
          ? [
              {
                subject: hook.id,
                severity: 'caution' as const,
                why: say`“${ruleSet.name}” requires ${words}, and ${called(setup.trace, hook.id)} is not one. Last checked ${ruleSet.checkedOn}.`,
                figure: 1,
                remedies: [
                  {
                    label,
                    make: () => ({
                      trace: withPiece(setup.trace, hook.id, (old) => ({ ...old, ...change(hook, judged) }) as HookPiece),
                    }),
                  },
                ],
              },
            ]
          : [],
      )
    },
  }
}
