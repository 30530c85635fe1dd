import { say } from '../../units/phrase.ts'
import type { Rule } from '../finding.ts'

/** More line than the spool takes: it jams and falls off in loops. */
export const spoolOverfull: Rule = {
  id: 'spool-overfull',
  check: ({ setup: { spool } }) =>
    spool.fillShare <= 1.0005
      ? []
      : [
          {
            severity: 'caution',
            why: say`The spool is ${(spool.fillShare * 100).toFixed(0)} % full. Line will fall off in loops.`,
            figure: spool.fillShare,
            remedies: [],
          },
        ],
}
