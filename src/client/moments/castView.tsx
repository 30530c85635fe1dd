import type { Cast } from '../../core/moments/cast.ts'
import { CAST_OVER_PEAK } from '../../core/moments/thresholds.ts'
import { useShow } from '../settings/preferences.tsx'
import { castName } from '../words/castWords.ts'
import type { MomentView } from './momentView.ts'

export const CAST_VIEW: MomentView<Cast> = {
  rule: () =>
    `The strength of each link over its load at the peak of the cast. The lowest decides: ${CAST_OVER_PEAK.holds} or more holds, ${CAST_OVER_PEAK.watch} or more is watch. A sinker that breaks off can kill: clear the beach behind and ahead.`,
  absent: () => 'Not cast: the trace is lowered.',
  figure: ({ figure }, { show }) => `The weakest link holds ${show.number(figure.value, 1)} times its load.`,
  decides: ({ decides }, { nameOf }) => `Weakest: ${nameOf(decides)}`,
  inputs: {
    castStyle: 'style',
    massFlying: 'cast weight',
    bestCast: 'what the rod throws best',
    releaseSpeed: 'release speed',
    stroke: 'stroke',
    peakOverMean: 'peak over mean load',
    peakOfCast: 'peak load',
    leaderByRule: 'leader by the rule of 10 lb an ounce',
    castBeginsAt: 'cast begins at',
    leaderLength: 'leader',
    leaderNeeded: 'leader needed to reach the reel',
    turnsOnSpool: 'turns of leader on the spool',
    weakestLink: 'weakest link',
    massBeyond: 'mass beyond it',
    pullOnWeakest: 'load on it',
    pullWhenLocked: 'load if the line catches',
    rangeAtLeast: 'distance, at least',
    rangeAtMost: 'distance, at most',
  },
  words: ({ catalogue }) => ({
    ...Object.fromEntries(
      Object.keys(catalogue.castStyles).map((id) => [id, castName(catalogue, id as keyof typeof catalogue.castStyles)]),
    ),
    leader: 'leader',
    topShot: 'top shot',
    main: 'main line',
  }),
  Why: CastWhy,
}

const BEGINS = {
  leader: 'The leader reaches the spool, so it takes the cast alone.',
  topShot: 'Leader and top shot reach the spool together, so they take the cast.',
  main: 'The leader does not reach the spool: the main line takes the cast.',
} as const

/** Whether the leader reaches the reel, what every link needs, and the weak link against the cast. */
function CastWhy({ result: cast }: { result: Cast }) {
  const show = useShow()
  const { beginsAt, leaderM, leaderNeededM, turnsOnSpool, neededN, ruleN, weakLink, lockedN, rangeM } = cast
  return (
    <div className="mb-3 grid gap-2 text-sm">
      <p>
        {BEGINS[beginsAt]}{' '}
        {leaderM > 0 &&
          (turnsOnSpool > 0
            ? `${show.number(turnsOnSpool, 1)} turns of leader are on the reel; four to six are best.`
            : `It ends ${show.computed('length', leaderNeededM - leaderM)} short of four turns on the reel.`)}
      </p>
      <p>
        The line that carries the whole cast needs <strong>{show.computed('strength', neededN)}</strong>, a branch its share. The
        rule of 10 lb an ounce gives a leader of {show.computed('strength', ruleN)}.
      </p>
      <p>
        If the line catches just after release, it takes about {show.computed('strength', lockedN)}. The cast reaches{' '}
        {show.entered('length', rangeM.least)} to {show.entered('length', rangeM.most)} in still air.
      </p>
      {weakLink && (
        <p>
          The weak link alone holds {show.number(weakLink.overPeak, 1)} times the peak:{' '}
          {weakLink.bridged
            ? 'a release clip carries the cast past it.'
            : weakLink.overPeak >= CAST_OVER_PEAK.holds
              ? 'it needs no clip.'
              : 'it needs a release clip, or a gentler cast.'}
        </p>
      )}
    </div>
  )
}
