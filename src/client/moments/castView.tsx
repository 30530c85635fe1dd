import type { Cast } from '../../core/moments/cast.ts'
import { CAST_OVER_PEAK } from '../../core/moments/thresholds.ts'
import { useShow } from '../settings/preferences.tsx'
import { castName } from '../words/castWords.ts'
import type { MomentView } from './momentView.ts'

export const CAST_VIEW: MomentView<Cast> = {
  rule: `Each link over the pull of what flies beyond it, at the peak of the cast; the worst decides: ${CAST_OVER_PEAK.holds} or more holds, ${CAST_OVER_PEAK.watch} or more is to be watched. A lead that breaks off can kill: clear the beach behind and ahead.`,
  absent: 'Nothing is cast: the trace is lowered.',
  figure: ({ peakN, figure }, { show }) => `peak ${show.computed('strength', peakN)}, weakest ${figure.value.toFixed(1)}×`,
  decides: ({ decides }, { nameOf }) => `decides: ${nameOf(decides)}`,
  inputs: {
    castStyle: 'style',
    massFlying: 'mass that flies',
    bestCast: 'what the rod throws best',
    releaseSpeed: 'release speed',
    stroke: 'stroke',
    peakOverMean: 'peak over mean pull',
    peakOfCast: 'peak pull',
    leaderByRule: 'leader by the rule of 10 lb an ounce',
    castBeginsAt: 'cast begins at',
    leaderLength: 'leader',
    leaderNeeded: 'leader needed to reach the reel',
    turnsOnSpool: 'turns of leader on the spool',
    weakestLink: 'weakest link',
    massBeyond: 'flies beyond it',
    pullOnWeakest: 'pull on it',
    pullWhenLocked: 'peak if the line catches',
    rangeAtLeast: 'flies at least',
    rangeAtMost: 'and at most',
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
  leader: 'The leader lies on the spool, so it alone takes the cast.',
  topShot: 'Leader and top shot together lie on the spool, so they take the cast.',
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
            ? `${turnsOnSpool.toFixed(1)} turns of leader are on the reel; four to six are wanted.`
            : `It ends ${show.computed('length', leaderNeededM - leaderM)} short of four turns on the reel.`)}
      </p>
      <p>
        What bears all that flies needs <strong>{show.computed('strength', neededN)}</strong>, a branch its share; the shore
        angler’s rule of 10 lb an ounce asks for a leader of {show.computed('strength', ruleN)}.
      </p>
      <p>
        Should the line catch just after release, about {show.computed('strength', lockedN)} are on it. It flies some{' '}
        {show.entered('length', rangeM.least)} to {show.entered('length', rangeM.most)} in still air.
      </p>
      {weakLink && (
        <p>
          The weak link alone would bear {weakLink.overPeak.toFixed(1)} times the peak:{' '}
          {weakLink.bridged
            ? 'a release clip carries the cast past it.'
            : weakLink.overPeak >= CAST_OVER_PEAK.holds
              ? 'it takes the cast without a clip.'
              : 'it needs a release clip, or a gentler cast.'}
        </p>
      )}
    </div>
  )
}
