import { joinedPhrase } from '../units/phrase.ts'
import { type Finding, SEVERITY_RANK } from './finding.ts'

/** A rule whose finding may be the effect of others, on the same part or `anywhere`; `silent`: its sentence adds nothing to theirs. */
type Effect = { of: readonly string[]; anywhere?: boolean; silent?: boolean }

const WEAK_PARTS = [
  'few-turns',
  'knot-slips-in-braid',
  'blood-unlike',
  'joint-misfits',
  'hook-hardly-meant',
  'hook-straightens',
  'hardware-undersize',
  'worn-line',
  'backing-decides',
]
const EFFECTS: Readonly<Record<string, Effect>> = {
  'lighter-than-its-knots-allow': { of: WEAK_PARTS, silent: true },
  'drag-over-ceiling': { of: [...WEAK_PARTS, 'lighter-than-its-knots-allow'] },
  'cast-too-hard': { of: ['swivel-through-bore', 'no-shock-leader', ...WEAK_PARTS] },
  'leader-under-rule': { of: ['cast-too-hard', 'no-shock-leader'], anywhere: true, silent: true },
  'gap-filled': { of: ['hook-hardly-meant'] },
  'hook-straightens': { of: ['hook-hardly-meant'] },
  'hooks-off-bait': { of: ['hook-hardly-meant'], silent: true },
  'hardware-undersize': { of: ['swivel-through-bore'] },
  'legs-meet': { of: ['tandem-alike'], silent: true },
  'sinker-chafes-knot': { of: ['swivel-through-bore'], silent: true },
}

/**
 * Findings with each cause once: what follows from another finding on the same part becomes one of its effects. Its sentence
 * follows that of the cause, which is as severe as the worst of them and offers the remedies of all. What was set aside stays alone.
 */
export function tellOnce(findings: readonly Finding[]): Finding[] {
  const causes = new Map(
    findings.flatMap((finding) => {
      const cause = causeOf(finding, findings)
      return cause ? [[finding.id, cause] as const] : []
    }),
  )
  const rootOf = (finding: Finding): Finding => {
    const cause = causes.get(finding.id)
    return cause ? rootOf(cause) : finding
  }
  if (causes.size === 0) return [...findings]
  const followers = findings.filter(({ id }) => causes.has(id))
  return findings.flatMap((finding) => {
    if (causes.has(finding.id)) return []
    const effects = followers.filter((each) => rootOf(each) === finding)
    return [effects.length > 0 ? withEffects(finding, effects) : finding]
  })
}

/** The finding that another follows from: of the rule that comes first among its causes. */
function causeOf(finding: Finding, findings: readonly Finding[]): Finding | undefined {
  const effect = EFFECTS[finding.rule]
  if (!effect || finding.aside !== undefined) return undefined
  const { of, anywhere } = effect
  const isCause = ({ rule, aside, about }: Finding) =>
    of.includes(rule) && aside === undefined && (anywhere || about.some((id) => finding.about.includes(id)))
  return findings.filter(isCause).toSorted((a, b) => of.indexOf(a.rule) - of.indexOf(b.rule))[0]
}

function withEffects(cause: Finding, effects: readonly Finding[]): Finding {
  const spoken = effects.filter(({ rule }) => !EFFECTS[rule]?.silent)
  const [worst] = [cause, ...effects].toSorted((a, b) => SEVERITY_RANK[b.severity] - SEVERITY_RANK[a.severity])
  return {
    ...cause,
    severity: worst?.severity ?? cause.severity,
    why: joinedPhrase([cause, ...spoken].map(({ why }) => why)),
    explains: [...new Set([cause, ...effects].flatMap(({ explains }) => explains))],
    remedies: uniqueBy(
      [cause, ...effects].flatMap(({ remedies }) => remedies),
      ({ label }) => label,
    ),
    effects,
    alone: cause,
  }
}

/** The first of each that is called alike. */
const uniqueBy = <T>(all: readonly T[], key: (each: T) => string): T[] =>
  all.filter((each, i) => all.findIndex((other) => key(other) === key(each)) === i)

/** All findings one by one, the effects of others among them. */
export const eachByItself = (findings: readonly Finding[]): Finding[] =>
  findings.flatMap((finding) => [finding.alone ?? finding, ...finding.effects])
