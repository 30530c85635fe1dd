import type { Rule } from './advice.ts'

/** More line than the spool takes: it jams and falls off in loops. */
export const spoolOverfull: Rule = ({ spool }) => {
  if (spool.fillShare <= 1.0005) return undefined
  return {
    id: 'spool-overfull',
    severity: 'caution',
    why: `The spool is ${(spool.fillShare * 100).toFixed(0)} % full: line will fall off in loops.`,
  }
}
