import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { CAST_STYLES, type CastStyle } from '../../../core/cast/styles.ts'
import { BAITS, type BaitType } from '../../../core/gear/baits.ts'
import { HOOK_PATTERNS, HOOK_SIZES, type HookPattern } from '../../../core/gear/hooks.ts'
import { usualConditions } from '../../../core/trace/conditions.ts'
import type { Family, Wishes } from '../../../core/trace/families/draft.ts'
import { FAMILIES } from '../../../core/trace/families/families.ts'
import { soundDraft } from '../../../core/trace/families/soundDraft.ts'
import type { Outfit } from '../../../core/trace/outfit.ts'
import { createTrace, outfitsQuery, type SavedOutfit, tracesQuery } from '../../api/documents.ts'
import { MiniReach } from '../../charts/Reach.tsx'
import { useMiniReach } from '../../charts/useReach.ts'
import { judge } from '../../judge/useEvaluation.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Field, fieldClass, Select, Sheet } from '../../ui/controls.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { QuantityField } from '../../ui/QuantityField.tsx'
import { Empty, Failed, Loading } from '../../ui/states.tsx'
import { VerdictMark } from '../../ui/VerdictMark.tsx'
import { figureWords, MOMENT_NAMES, MOMENT_ORDER } from '../../words/verdictWords.ts'

/** From an outfit and a family to a sound first draft, in the order of the work. */
export default function NewTraceScreen() {
  const outfits = useQuery(outfitsQuery)
  if (outfits.error && !outfits.data) return <Failed what="The outfits" error={outfits.error} onRetry={() => outfits.refetch()} />
  if (!outfits.data) return <Loading what="the outfits" />
  if (outfits.data.length === 0)
    return <Empty title="No outfit yet">A trace is tied to an outfit: rod, reel and the line on it.</Empty>
  return <NewTraceForm outfits={outfits.data} />
}

const CASTS = [
  { value: 'none', text: 'not cast: lowered from a boat' },
  ...Object.entries(CAST_STYLES).map(([value, { name }]) => ({ value, text: name })),
]

function NewTraceForm({ outfits }: { outfits: SavedOutfit[] }) {
  const [outfitId, setOutfitId] = useState(outfits[0]!.id)
  const [family, setFamily] = useState<Family>(FAMILIES[0]!)
  const [changed, setChanged] = useState<Partial<Wishes>>({})
  const [castStyle, setCastStyle] = useState<CastStyle | 'none'>('overhead')
  const wishes = { ...family.usual, ...changed }
  const set = (change: Partial<Wishes>) => setChanged((old) => ({ ...old, ...change }))
  const outfit = outfits.find(({ id }) => id === outfitId)!.content

  return (
    <div className="grid items-start gap-3 p-3 sm:px-6 lg:grid-cols-[minmax(0,1fr)_26rem]">
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
          <Choices
            name="family"
            value={family.id}
            onChange={(id) => {
              setFamily(FAMILIES.find((each) => each.id === id)!)
              setChanged(({ name }) => (name === undefined ? {} : { name }))
            }}
            choices={FAMILIES.map(({ id, name, about }) => ({ value: id, text: name, about }))}
          />
        </Sheet>
        <Sheet title="3. Bait, hook and sinker">
          <div key={family.id} className="grid gap-2">
            <Field label="bait" htmlFor="new-bait">
              <Select
                id="new-bait"
                value={wishes.bait}
                onChange={(event) => set({ bait: event.target.value as BaitType })}
                choices={Object.entries(BAITS).map(([value, { name }]) => ({ value, text: name }))}
              />
            </Field>
            <Field label="hook size" htmlFor="new-size" hint="a plain number is small: 2 is not 2/0">
              <Select
                id="new-size"
                value={wishes.hookSize}
                onChange={(event) => set({ hookSize: event.target.value })}
                choices={HOOK_SIZES.map((size) => ({ value: size, text: size.includes('/') ? size : `${size} (small)` }))}
              />
            </Field>
            <Field label="pattern" htmlFor="new-pattern">
              <Select
                id="new-pattern"
                value={wishes.hookPattern}
                onChange={(event) => set({ hookPattern: event.target.value as HookPattern })}
                choices={Object.entries(HOOK_PATTERNS).map(([value, { name }]) => ({ value, text: name }))}
              />
            </Field>
            <QuantityField
              label="sinker"
              quantity="mass"
              valueSi={wishes.sinkerKg}
              check={(kg) => (kg > 0 && kg <= 5 ? undefined : 'From a gram to 5 kg.')}
              onChange={(sinkerKg) => set({ sinkerKg })}
            />
            {family.snoods && (
              <NumberField
                label="snoods"
                value={wishes.snoods}
                whole
                least={family.snoods.least}
                most={family.snoods.most}
                onChange={(snoods) => snoods && set({ snoods })}
              />
            )}
            <Field label="cast" htmlFor="new-cast">
              <Select
                id="new-cast"
                value={castStyle}
                onChange={(event) => setCastStyle(event.target.value as CastStyle | 'none')}
                choices={CASTS}
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
        castStyle={castStyle}
        onName={(name) => set({ name })}
      />
    </div>
  )
}

type ChoiceRow = { value: string; text: string; about?: string }

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
          <span>
            {choice.text}
            {choice.about && <span className="block text-sm text-quiet">{choice.about}</span>}
          </span>
        </label>
      ))}
    </div>
  )
}

type PreviewProps = {
  family: Family
  wishes: Wishes
  outfit: Outfit
  outfitId: string
  castStyle: CastStyle | 'none'
  onName: (name: string) => void
}

/** The draft as it would be made, with its verdicts, and the button that makes it. */
function DraftPreview({ family, wishes, outfit, outfitId, castStyle, onName }: PreviewProps) {
  const show = useShow()
  const navigate = useNavigate()
  const client = useQueryClient()
  const name = wishes.name.trim()
  const draft = useMemo(
    () => soundDraft(family, { ...wishes, name: name || family.usual.name }, outfit, { ...usualConditions(), castStyle }),
    [family, wishes, name, outfit, castStyle],
  )
  const judged = judge(draft.trace, outfit, draft.conditions)
  const layout = useMiniReach(draft.trace, outfit)
  const create = useMutation({
    mutationFn: () => createTrace(crypto.randomUUID(), { trace: draft.trace, outfitId, conditions: draft.conditions }),
    onSuccess: (saved) => {
      client.invalidateQueries({ queryKey: tracesQuery(false).queryKey })
      navigate(`/traces/${saved.id}`)
    },
  })
  return (
    <Sheet title="Your draft" className="lg:sticky lg:top-3">
      <MiniReach trace={draft.trace} outfit={outfit} layout={layout} />
      {judged.ok && (
        <ul className="my-3 grid gap-1">
          {MOMENT_ORDER.map((moment) => {
            const result = judged.evaluation[moment]
            return (
              <li key={moment} className="grid grid-cols-[3.5rem_5rem_1fr] items-center gap-2">
                <span className="font-semibold">{MOMENT_NAMES[moment]}</span>
                {result ? <VerdictMark verdict={result.verdict} /> : <span className="text-quiet">–</span>}
                <span className="text-sm text-quiet">{figureWords(judged.evaluation, moment, show)}</span>
              </li>
            )
          })}
        </ul>
      )}
      <p className="mb-3 text-sm text-quiet">
        Drag {show.entered('strength', draft.conditions.dragN)}. Everything can be changed on the bench.
      </p>
      <form
        className="grid gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          if (name) create.mutate()
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
