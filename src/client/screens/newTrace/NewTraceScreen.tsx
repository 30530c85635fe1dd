import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import type { FamilyId } from '../../../core/catalogue/familyIds.ts'
import { CAST_STYLE_IDS } from '../../../core/catalogue/ids.ts'
import { type Conditions, defaultConditions } from '../../../core/documents/conditions.ts'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { draft } from '../../../core/families/draft.ts'
import { emptyTrace } from '../../../core/families/emptyTrace.ts'
import { familyOf } from '../../../core/families/families.ts'
import { defaultWishes, type Family, type Wishes } from '../../../core/families/family.ts'
import { MOMENT_NAMES } from '../../../core/moments/moments.ts'
import { createDocument, crewSettingsQuery, outfitsQuery, type SavedOutfit } from '../../api/documents.ts'
import { useCatalogue } from '../../catalogue.ts'
import { MiniReach } from '../../charts/Reach.tsx'
import { useMiniReach } from '../../charts/useReach.ts'
import { viewOf } from '../../moments/momentViews.ts'
import { useEvaluation } from '../../moments/useEvaluation.ts'
import { useWording } from '../../moments/useWording.ts'
import { QuickOutfit } from '../../outfits/QuickOutfit.tsx'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { useNoFaults } from '../../ui/useNoFaults.ts'
import { usePageTitle } from '../../ui/usePageTitle.ts'
import { VerdictMark } from '../../ui/VerdictMark.tsx'
import { castName } from '../../words/castWords.ts'
import { momentName } from '../../words/momentNames.ts'
import { FamilyChoice } from './FamilyChoice.tsx'
import { WishFields } from './WishFields.tsx'

const NO_WISHES: Wishes = { name: 'New trace', hookSize: '2/0', hookPattern: 'j', bait: 'sandeel', amounts: {} }

/** From an outfit and a family to a sound first draft, in the order of the work. */
export default function NewTraceScreen() {
  usePageTitle('New trace')
  const outfits = useQuery(outfitsQuery)
  if (outfits.error && !outfits.data) return <Failed what="The outfits" error={outfits.error} onRetry={() => outfits.refetch()} />
  if (!outfits.data) return <Loading what="the outfits" />
  const [first] = outfits.data
  if (!first)
    return (
      <Sheet title="First your outfit" className="m-3 max-w-xl sm:mx-6">
        <p className="mb-3 text-quiet">
          A trace is tied to an outfit: rod, reel and the line on it. Four things are enough to begin, or take{' '}
          <Link to="/gear" className="underline">
            a usual one
          </Link>
          .
        </p>
        <QuickOutfit onMade={() => {}} />
      </Sheet>
    )
  return <NewTraceForm outfits={outfits.data} first={first} />
}

function NewTraceForm({ outfits, first }: { outfits: SavedOutfit[]; first: SavedOutfit }) {
  const catalogue = useCatalogue()
  const [outfitId, setOutfitId] = useState(first.id)
  const [familyId, setFamilyId] = useState<FamilyId>('runningLedger')
  const [changed, setChanged] = useState<Partial<Wishes>>({})
  const [castStyle, setCastStyle] = useState<Conditions['castStyle']>()
  const { ref, complaint, whenSound } = useNoFaults<HTMLDivElement>()
  const family = familyOf(familyId)
  const wishes = { ...(family ? defaultWishes(family) : NO_WISHES), ...changed }
  const set = (change: Partial<Wishes>) => setChanged((old) => ({ ...old, ...change }))
  const outfit = (outfits.find(({ id }) => id === outfitId) ?? first).content
  const casts: readonly Conditions['castStyle'][] = family?.casts ?? CAST_STYLE_IDS
  const cast = castStyle && casts.includes(castStyle) ? castStyle : (casts[0] ?? 'none')

  return (
    <div ref={ref} className="grid items-start gap-3 p-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
      <div className="grid gap-3">
        <h1 className="text-xl font-bold">New trace</h1>
        <Sheet title="1. Outfit">
          <Choices
            name="outfit"
            value={outfitId}
            onChange={setOutfitId}
            choices={outfits.map(({ id, content }) => ({ value: id, text: content.name }))}
          />
        </Sheet>
        <Sheet title="2. Family">
          <FamilyChoice
            value={familyId}
            outfit={outfit}
            onChange={(id) => {
              setFamilyId(id)
              setChanged(({ name }) => (name === undefined ? {} : { name }))
            }}
          />
        </Sheet>
        <Sheet title={family ? '3. Bait, hook, weights and lengths' : '3. Cast'}>
          <div key={familyId} className="grid gap-2">
            {family && <WishFields family={family} wishes={wishes} onChange={set} />}
            <Field label="cast" htmlFor="new-cast">
              <Select
                id="new-cast"
                value={cast}
                onChange={(event) => setCastStyle(event.target.value as Conditions['castStyle'])}
                choices={casts.map((style) => ({ value: style, text: castName(catalogue, style) }))}
              />
            </Field>
          </div>
        </Sheet>
      </div>
      <DraftPreview
        family={family}
        wishes={wishes}
        outfit={outfit}
        outfitId={outfitId}
        castStyle={cast}
        onName={(name) => set({ name })}
        complaint={complaint}
        whenSound={whenSound}
      />
    </div>
  )
}

type ChoiceRow = { value: string; text: string }

function Choices({
  name,
  value,
  onChange,
  choices,
}: {
  name: string
  value: string
  onChange: (value: string) => void
  choices: ChoiceRow[]
}) {
  return (
    <div role="radiogroup" aria-label={name} className="grid gap-1.5 sm:grid-cols-2">
      {choices.map((choice) => (
        <label
          key={choice.value}
          className={`flex cursor-pointer gap-2 rounded-md border p-2 ${choice.value === value ? 'border-tide bg-well' : 'border-rule'}`}
        >
          <input
            type="radio"
            name={name}
            value={choice.value}
            checked={choice.value === value}
            onChange={() => onChange(choice.value)}
            className="mt-0.5 size-5 shrink-0"
          />
          {choice.text}
        </label>
      ))}
    </div>
  )
}

type PreviewProps = {
  family: Family | undefined
  wishes: Wishes
  outfit: Outfit
  outfitId: string
  castStyle: Conditions['castStyle']
  onName: (name: string) => void
  /** What keeps it from being made, and making it only where every field reads. */
  complaint: string | undefined
  whenSound: (act: () => void) => void
}

/** The draft as it would be made, with its verdicts, and the button that makes it. */
function DraftPreview({ family, wishes, outfit, outfitId, castStyle, onName, complaint, whenSound }: PreviewProps) {
  const show = useShow()
  const navigate = useNavigate()
  const client = useQueryClient()
  const catalogue = useCatalogue()
  const own = useQuery(crewSettingsQuery).data?.content.conditions
  const name = wishes.name.trim()
  const { trace, conditions } = useMemo(() => {
    const conditions = { ...defaultConditions(own), castStyle }
    const named = { ...wishes, name: name || 'New trace' }
    if (!family) return { trace: emptyTrace(named.name), conditions }
    return draft({ family, wishes: named, outfit, conditions, catalogue })
  }, [family, wishes, name, outfit, castStyle, own, catalogue])
  const setup = useMemo(() => ({ trace, outfit, conditions, catalogue }), [trace, outfit, conditions, catalogue])
  const judged = useEvaluation(setup)
  const wording = useWording(setup)
  const layout = useMiniReach(trace, outfit)
  const create = useMutation({
    mutationFn: () => createDocument('traces', { trace, outfitId, conditions }),
    onSuccess: (saved) => {
      void client.invalidateQueries({ queryKey: ['traces', 'heads'] })
      void navigate(`/traces/${saved.id}`)
    },
  })
  return (
    <Sheet title="Your draft" className="lg:sticky lg:top-3">
      <MiniReach trace={trace} outfit={outfit} layout={layout} />
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
      <p className="mb-3 text-sm text-quiet">
        {family
          ? `Drag ${show.entered('strength', conditions.dragN)}, trace of ${trace.pieces.length} parts. Everything can be changed on the bench.`
          : 'Nothing is tied on yet: the bench adds part by part, from the main line on.'}
      </p>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (name) whenSound(() => create.mutate())
        }}
      >
        <Field label="name" htmlFor="new-name" fault={name ? undefined : 'Give it a name.'}>
          <input
            id="new-name"
            className={fieldClass}
            value={wishes.name}
            maxLength={80}
            onChange={(event) => onName(event.target.value)}
            aria-describedby={name ? undefined : 'new-name-fault'}
          />
        </Field>
        {complaint && (
          <p role="alert" className="text-fails">
            {complaint}
          </p>
        )}
        <Button tone="strong" type="submit" disabled={!name || create.isPending}>
          {create.isPending ? 'Making …' : 'Make this trace'}
        </Button>
        {create.error && (
          <p role="alert" className="text-fails">
            {create.error.message}
          </p>
        )}
      </form>
    </Sheet>
  )
}
