import { useQuery } from '@tanstack/react-query'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { type FamilyId, OWN_DESIGN } from '../../../core/catalogue/familyIds.ts'
import { type Bed, CAST_STYLE_IDS, type Landing, type Method } from '../../../core/catalogue/ids.ts'
import { isCastMethod } from '../../../core/catalogue/methods.ts'
import { type Conditions, defaultConditions } from '../../../core/documents/conditions.ts'
import { calmDrift, defaultWater, type Water } from '../../../core/documents/water.ts'
import { type SoundDraft, soundDraft } from '../../../core/drafting/soundDraft.ts'
import { CoreError } from '../../../core/errors.ts'
import { FAMILIES, familyOf } from '../../../core/families/families.ts'
import type { Family, UserChoices } from '../../../core/families/family.ts'
import { type Suit, suited } from '../../../core/families/suits.ts'
import { assumedFor } from '../../../core/purpose/assumed.ts'
import { usualLanding } from '../../../core/purpose/landing.ts'
import { type Angler, type OutfitAdvice, rankedOutfits } from '../../../core/purpose/outfitFor.ts'
import { type Purpose, purposeOf } from '../../../core/purpose/purpose.ts'
import { conditionsForFish } from '../../../core/setup/conditionsForFish.ts'
import { springWater } from '../../../core/setup/springWater.ts'
import {
  crewSettingsQuery,
  fishQuery,
  marksQuery,
  type SavedFish,
  type SavedMark,
  type SavedOutfit,
  sinkersQuery,
} from '../../api/documents.ts'
import { useRuleSetInForce } from '../../api/useRuleSetInForce.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { type DraftChange, type DraftSummary, draftChanges, useDraftSummary } from './draftSummary.ts'

/** What was chosen so far; what is left out follows from the rest. */
export type Choices = {
  fishId?: string | undefined
  markId?: string | undefined
  method?: Method | undefined
  bed?: Bed | undefined
  clarity?: Conditions['clarity']
  light?: Conditions['light']
  landing?: Landing | undefined
  /** Absent: the one that suits best. */
  outfitId?: string | undefined
  angler?: Angler | undefined
  familyId?: FamilyId | undefined
  castStyle?: Conditions['castStyle']
  said: Omit<UserChoices, 'name'>
}

type SaidChange = { [Field in keyof Omit<UserChoices, 'name'>]?: UserChoices[Field] | undefined }

type Drafted = { ok: true; draft: SoundDraft } | { ok: false; message: string }

export type NewTrace = {
  choices: Choices
  /** As typed; undefined until it is. */
  name: string | undefined
  setName: (name: string) => void
  fish: readonly SavedFish[]
  marks: readonly SavedMark[]
  outfit: SavedOutfit
  /** Those that suit first, with the reasons. */
  outfits: { outfit: SavedOutfit; advice: OutfitAdvice }[]
  families: { family: Family; suit: Suit }[]
  familyId: FamilyId
  family: Family | undefined
  /** The ways it can be cast here; the first is usual. */
  casts: readonly Conditions['castStyle'][]
  conditions: Conditions
  purpose: Purpose
  /** Undefined for a design of one’s own. */
  drafted: Drafted | undefined
  /** What the last choice changed of the draft. */
  changes: DraftChange[]
  choose: (change: Partial<Omit<Choices, 'said'>>) => void
  /** Something said of the draft; `undefined` leaves it to the draft again. */
  say: (change: SaidChange) => void
}

/** The choices of a new trace, the conditions that they make, and the draft that follows from them. */
export function useNewTrace(saved: readonly SavedOutfit[], first: SavedOutfit): NewTrace {
  const catalogue = useCatalogue()
  const fish = useQuery(fishQuery).data ?? []
  const marks = useQuery(marksQuery).data ?? []
  const sinkers = useQuery(sinkersQuery).data
  const own = useQuery(crewSettingsQuery).data?.content.conditions
  const ruleSet = useRuleSetInForce()
  const [search] = useSearchParams()
  const [choices, setChoices] = useState<Choices>({
    outfitId: search.get('outfit') ?? undefined,
    markId: search.get('mark') ?? undefined,
    said: {},
  })
  const [name, setName] = useState<string>()
  const [before, setBefore] = useState<DraftSummary>()

  const target = fish.find(({ id }) => id === choices.fishId)?.content
  const mark = marks.find(({ id }) => id === choices.markId)?.content
  const { method, bed, clarity, light, landing } = choices
  const water = useMemo((): Water | undefined => {
    const there = mark ? springWater(mark) : method && defaultWater(catalogue, method)
    if (!there) return undefined
    const { streamMperS } = there
    const fished =
      method && method !== there.method
        ? { method, scope: catalogue.methods[method].scope, ...calmDrift(method, streamMperS) }
        : {}
    return { ...there, ...fished, ...(bed ? { bed } : {}) }
  }, [catalogue, mark, method, bed])

  const { angler } = choices
  const castKg = choices.said.amounts?.sinkerKg
  const outfits = useMemo(
    () => rankedOutfits(catalogue, saved, { target, water, angler, castKg }),
    [catalogue, saved, target, water, angler, castKg],
  )
  const isAsked = target !== undefined || water !== undefined || angler !== undefined
  const outfit = saved.find(({ id }) => id === choices.outfitId) ?? (isAsked ? outfits[0]?.outfit : undefined) ?? first
  const families = useMemo(() => suited(FAMILIES, { target, water }), [target, water])
  const asked = target !== undefined || water !== undefined
  const familyId: FamilyId = choices.familyId ?? (asked ? (families[0]?.family.id ?? OWN_DESIGN) : 'runningLedger')
  const family = familyOf(familyId)
  const casts = useMemo(() => castsFor(family, water), [family, water])
  const castStyle = choices.castStyle && casts.includes(choices.castStyle) ? choices.castStyle : (casts[0] ?? 'none')

  const conditions = useMemo((): Conditions => {
    return {
      ...defaultConditions(own),
      ...assumedFor(outfit.content),
      castStyle,
      ...(target
        ? { ...conditionsForFish(target), landing: usualLanding(catalogue, target, outfit.content, water?.method) }
        : {}),
      ...(landing ? { landing } : {}),
      ...(clarity ? { clarity } : {}),
      ...(light ? { light } : {}),
      ...(water ? { water } : {}),
    }
  }, [own, castStyle, target, water, clarity, light, landing, outfit, catalogue])

  const drafted = useMemo((): Drafted | undefined => {
    if (!family) return undefined
    try {
      const draft = soundDraft({ family, said: choices.said, outfit: outfit.content, conditions, catalogue, ruleSet, sinkers })
      return { ok: true, draft }
    } catch (error) {
      if (error instanceof CoreError) return { ok: false, message: error.message }
      throw error
    }
  }, [family, choices.said, outfit, conditions, catalogue, ruleSet, sinkers])

  const now = useDraftSummary(drafted?.ok ? drafted.draft : undefined, family)
  const remember = () => setBefore(now)
  return {
    choices,
    name,
    setName,
    fish,
    marks,
    outfit,
    outfits,
    families,
    familyId,
    family,
    casts,
    conditions,
    purpose: purposeOf({ conditions, outfit: outfit.content, catalogue }, ruleSet),
    drafted,
    changes: draftChanges(before, now),
    choose: (change) => {
      remember()
      setChoices((old) => ({ ...old, ...change, ...('familyId' in change ? { said: keptOf(old.said) } : {}) }))
    },
    say: (change) => {
      remember()
      setChoices((old) => ({ ...old, said: saidOnly({ ...old.said, ...change }) }))
    },
  }
}

/** Weights and lengths belong to a family; what is said of bait and hook, to the trace. */
const keptOf = ({ amounts: _amounts, leaderN: _leaderN, ...said }: UserChoices): UserChoices => said

const saidOnly = (said: SaidChange): UserChoices =>
  Object.fromEntries(Object.entries(said).filter(([, value]) => value !== undefined)) as UserChoices

/** How a family is thrown where it is fished: lowered from a boat, cast from the shore or up-tide. */
function castsFor(family: Family | undefined, water: Water | undefined): readonly Conditions['castStyle'][] {
  const all: readonly Conditions['castStyle'][] = family?.casts ?? CAST_STYLE_IDS
  if (!water) return all
  const fit = all.filter((style) => (style === 'none') !== isCastMethod(water.method))
  return fit.length > 0 ? fit : all
}
