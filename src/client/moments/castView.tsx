import type { Cast } from '../../core/moments/cast.ts'
import { CAST_OVER_PEAK } from '../../core/moments/thresholds.ts'
import { useShow } from '../settings/preferences.tsx'
import { castName } from '../words/castWords.ts'
import type { MomentView } from './momentView.ts'

export const CAST_VIEW: MomentView<Cast> = {
  name: 'Cast',
  rule: `Weakest link on the cast path over the peak pull: ${CAST_OVER_PEAK.holds} or more holds, ${CAST_OVER_PEAK.watch} or more is to be watched. A lead that breaks off can kill: clear the beach behind and ahead.`,
  absent: 'Nothing is cast: the trace is lowered.',
  figure: ({ peakN, figure }, { show }) => `peak ${show.computed('strength', peakN)}, weakest ${figure.value.toFixed(1)}× that`,
  decides: ({ decides }, { nameOf }) => `decides: ${nameOf(decides)}`,
  inputs: {
    castStyle: 'style',
    massFlying: 'mass that flies',
    releaseSpeed: 'release speed',
    stroke: 'stroke',
    peakOverMean: 'peak over mean pull',
    peakOfCast: 'peak pull',
    leaderByRule: 'leader by the rule of 10 lb an ounce',
    castBeginsAt: 'cast begins at',
    leaderLength: 'leader',
    leaderNeeded: 'leader needed to reach the reel',
    turnsOnSpool: 'turns of leader on the spool',
    neededOfEveryLink: 'needed of every link',
    weakestLink: 'weakest link',
    rangeInStillAir: 'range in still air',
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
  const { beginsAt, leaderM, leaderNeededM, turnsOnSpool, neededN, ruleN, weakLink } = cast
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
        For this sinker every link needs <strong>{show.computed('strength', neededN)}</strong>; the shore angler’s rule of 10 lb
        an ounce asks for a leader of {show.computed('strength', ruleN)}.
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
