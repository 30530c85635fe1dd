import { useMemo } from 'react'
import { useNavigate } from 'react-router'
import { emptyTrace } from '../../../core/families/emptyTrace.ts'
import { defaultWishes } from '../../../core/families/family.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { MiniReach } from '../../charts/MiniReach.tsx'
import { useCreate } from '../../documents/useCreation.ts'
import { VerdictMark } from '../../fishing/VerdictMark.tsx'
import { viewOf } from '../../moments/momentViews.ts'
import { useEvaluation } from '../../moments/useEvaluation.ts'
import { useWording } from '../../moments/useWording.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Field, fieldClass, Sheet } from '../../ui/controls.tsx'
import { Fault } from '../../ui/states.tsx'
import { phraseWords } from '../../words/findingWords.ts'
import { momentName } from '../../words/momentNames.ts'
import { madeForWords } from '../../words/purposeWords.ts'
import type { NewTrace } from './useNewTrace.ts'

/** Where the draft is on a narrow screen, below its questions: the bar at the foot leads to it. */
const DRAFT = 'your-draft'

type Props = {
  made: NewTrace
  /** What keeps it from being made, and making it only where every field reads. */
  complaint: string | undefined
  submitIfValid: (act: () => void) => void
}

/** The draft as it would be made: its verdicts, what the last choice changed, what was done so that it holds, and the button that makes it. */
export function DraftPreview({ made, complaint, submitIfValid }: Props) {
  const navigate = useNavigate()
  const { choices, family, drafted, outfit, marks } = made
  const draft = drafted?.ok ? drafted.draft : undefined
  const typed = made.name ?? (family ? defaultWishes(family).name : 'New trace')
  const name = typed.trim()
  const conditions = draft?.conditions ?? made.conditions
  const trace = useMemo(
    () => (draft ? { ...draft.trace, name: name || 'New trace' } : emptyTrace(name || 'New trace')),
    [draft, name],
  )
  const mark = marks.find(({ id }) => id === choices.markId)
  const making = useCreate('traces', { onMade: ({ id }) => void navigate(`/traces/${id}`) })
  const make = () =>
    making.create({
      trace,
      outfitId: outfit.id,
      conditions,
      ...(mark ? { markId: mark.id } : {}),
      ...(choices.fishId === undefined ? {} : { fishId: choices.fishId }),
    })
  const cannot = drafted?.ok === false
  return (
    <Sheet
      id={DRAFT}
      title="Your draft"
      aside={<span className="text-sm text-quiet">{madeForWords(conditions, mark?.content.name)}</span>}
      className="max-lg:mb-16 lg:sticky lg:top-3"
    >
      {cannot ? (
        <p role="alert" className="mb-3 text-fails">
          {drafted.message}
        </p>
      ) : (
        <DraftSaid made={made} trace={trace} conditions={conditions} />
      )}
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (name && !cannot) submitIfValid(make)
        }}
      >
        <Field label="name" htmlFor="new-name" fault={name ? undefined : 'Enter a name.'}>
          <input
            id="new-name"
            className={fieldClass}
            value={typed}
            maxLength={80}
            onChange={(event) => made.setName(event.target.value)}
            aria-describedby={name ? undefined : 'new-name-fault'}
          />
        </Field>
        <div className="grid gap-2 max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-10 max-lg:border-t max-lg:border-rule max-lg:bg-ground max-lg:px-3 max-lg:py-2 sm:max-lg:px-6">
          {complaint && <Fault>{complaint}</Fault>}
          {making.error && <Fault>{making.error.message}</Fault>}
          <div className="flex gap-2">
            <a href={`#${DRAFT}`} className={`lg:hidden ${buttonClass()}`}>
              See the draft
            </a>
            <Button tone="strong" type="submit" className="grow" disabled={!name || cannot || making.isPending}>
              {making.isPending ? 'Making …' : 'Make this trace'}
            </Button>
          </div>
        </div>
      </form>
    </Sheet>
  )
}

type UserChoices = { made: NewTrace } & Pick<Parameters<typeof useEvaluation>[0], 'trace' | 'conditions'>

function DraftSaid({ made, trace, conditions }: UserChoices) {
  const show = useShow()
  const catalogue = useCatalogue()
  const { family, outfit, drafted, changes } = made
  const setup = useMemo(() => ({ trace, outfit: outfit.content, conditions, catalogue }), [trace, outfit, conditions, catalogue])
  const judged = useEvaluation(setup)
  const wording = useWording(setup)
  const draft = drafted?.ok ? drafted.draft : undefined
  const found = draft?.findings.filter(({ severity }) => severity !== 'note') ?? []
  return (
    <>
      <MiniReach trace={trace} outfit={outfit.content} />
      {judged.ok && family && (
        <ul className="my-3 grid gap-1">
          {MOMENT_NAMES.map((moment) => {
            const result = judged.value.moments[moment]
            return (
              <li key={moment} className="grid grid-cols-[3.5rem_5rem_1fr] items-center gap-2">
                <span className="font-semibold">{momentName(moment)}</span>
                {result ? <VerdictMark verdict={result.verdict} /> : <span className="text-quiet">–</span>}
                <span className="text-sm text-quiet">{result && viewOf(result).figure(result, wording)}</span>
              </li>
            )
          })}
        </ul>
      )}
      <div className="mb-3 grid gap-1 text-sm text-quiet" aria-live="polite">
        <p>
          {family
            ? `Drag ${show.entered('strength', conditions.dragN)}, trace of ${trace.pieces.length} parts. You can change everything on the bench.`
            : 'No parts yet. Add them on the bench, from the main line on.'}
        </p>
        {changes.length > 0 && (
          <p className="text-ink">
            Changed: {changes.map(({ what, from, to }) => `${what} ${from ?? 'none'} → ${to ?? 'none'}`).join('; ')}.
          </p>
        )}
        {draft && draft.done.length > 0 && <p className="text-ink">To make it hold: {draft.done.join('; ')}.</p>}
        {found.map(({ id, why }) => (
          <p key={id} className="text-watch">
            {phraseWords(why, show)}
          </p>
        ))}
      </div>
    </>
  )
}
