import { labelStepsN } from '../../../core/catalogue/labels.ts'
import type { SoundDraft } from '../../../core/drafting/soundDraft.ts'
import { BITE_TRACES, biteTracesFor } from '../../../core/purpose/biteTrace.ts'
import { LeaderReasons } from '../../fishing/LeaderReasons.tsx'
import { usePreferences, useShow } from '../../settings/preferences.tsx'
import { Field, Select } from '../../ui/controls.tsx'
import { BITE_WORDS } from '../../words/purposeWords.ts'
import type { NewTrace } from './useNewTrace.ts'

/** The leader as advised, or as one wants it; what resists teeth; and why. */
export function LeaderChoice({ made, draft }: { made: NewTrace; draft: SoundDraft }) {
  const show = useShow()
  const { units } = usePreferences()
  const { choices, purpose, say } = made
  const { leader } = draft
  const barred = new Set(biteTracesFor(purpose, leader.atHookN).flatMap((each) => (each.barred ? [each.kind] : [])))
  return (
    <>
      <Field
        label="leader"
        htmlFor="new-leader"
        hint={choices.said.leaderN === undefined ? undefined : 'raised if the cast needs more'}
      >
        <Select
          id="new-leader"
          value={choices.said.leaderN === undefined ? '' : String(choices.said.leaderN)}
          onChoose={(next) => say({ leaderN: next === '' ? undefined : Number(next) })}
          choices={[
            { value: '', text: `recommended: ${show.entered('strength', leader.labelN)}` },
            ...labelStepsN(units.strength).map((labelN) => ({ value: String(labelN), text: show.entered('strength', labelN) })),
          ]}
        />
      </Field>
      <Field label="against teeth" htmlFor="new-bite">
        <Select
          id="new-bite"
          value={draft.wishes.bite}
          onChoose={(next) => say({ bite: BITE_TRACES.find((kind) => kind === next) })}
          choices={BITE_TRACES.map((kind) => ({ value: kind, text: BITE_WORDS[kind], disabled: barred.has(kind) }))}
        />
      </Field>
      <LeaderReasons advice={leader} purpose={purpose} />
    </>
  )
}
