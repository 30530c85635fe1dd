import { queryOptions } from '@tanstack/react-query'
import { z } from 'zod'
import { gearContent } from '../../shared/gear.ts'
import { type OutfitContent, outfitContent } from '../../shared/outfits.ts'
import { type RuleSetContent, ruleSetContent } from '../../shared/ruleSets.ts'
import { type TraceContent, traceContent } from '../../shared/traces.ts'
import { revisionList, type Saved, savedOf } from '../../shared/versioned.ts'
import { request } from './http.ts'
import { saveOnto } from './saveOnto.ts'

export type SavedTrace = Saved<TraceContent>
export type SavedOutfit = Saved<OutfitContent>

const savedTrace = savedOf(traceContent)

export const tracesQuery = (bin: boolean) =>
  queryOptions({ queryKey: ['traces', { bin }], queryFn: () => request(z.array(savedTrace), `/traces${bin ? '?bin=true' : ''}`) })

export const traceQuery = (id: string) =>
  queryOptions({ queryKey: ['trace', id], queryFn: () => request(savedTrace, `/traces/${id}`) })

export const revisionsQuery = (id: string) =>
  queryOptions({
    queryKey: ['trace', id, 'revisions'],
    queryFn: () => request(revisionList, `/traces/${id}/revisions`),
    staleTime: 0,
  })

export const revisionQuery = (id: string, revision: number) =>
  queryOptions({
    queryKey: ['trace', id, 'revisions', revision],
    queryFn: () => request(savedTrace, `/traces/${id}/revisions/${revision}`),
    staleTime: Number.POSITIVE_INFINITY,
  })

export const outfitsQuery = queryOptions({
  queryKey: ['outfits'],
  queryFn: () => request(z.array(savedOf(outfitContent)), '/outfits'),
  select: (outfits) => outfits.toSorted((a, b) => a.content.name.localeCompare(b.content.name)),
})

export const gearQuery = queryOptions({ queryKey: ['gear'], queryFn: () => request(z.array(savedOf(gearContent)), '/gear') })

/** The sinkers among the gear. */
export const sinkersQuery = queryOptions({
  ...gearQuery,
  select: (gear) =>
    gear.flatMap(({ content }) => (content.kind === 'sinker' ? [{ shape: content.shape, massKg: content.massKg }] : [])),
})

export type SavedRuleSet = Saved<RuleSetContent>
const savedRuleSet = savedOf(ruleSetContent)

const allRuleSets = queryOptions({
  queryKey: ['rule-sets'],
  queryFn: () => request(z.array(savedRuleSet), '/rule-sets'),
})

export const ruleSetsQuery = queryOptions({
  ...allRuleSets,
  select: (sets) => sets.toSorted((a, b) => a.content.name.localeCompare(b.content.name)),
})

/** The rule set that findings remind of; null where none is in force. */
export const ruleSetInForceQuery = queryOptions({
  ...allRuleSets,
  select: (sets) => sets.find(({ content }) => content.inForce)?.content ?? null,
})

export const createRuleSet = (content: RuleSetContent) =>
  request(savedRuleSet, '/rule-sets', { method: 'POST', body: { id: crypto.randomUUID(), content } })

export const saveRuleSet = ({ id, revision }: SavedRuleSet, content: RuleSetContent) =>
  request(savedRuleSet, `/rule-sets/${id}`, { method: 'PUT', body: { baseRevision: revision, content } })

export const binRuleSet = (id: string) => request(savedRuleSet, `/rule-sets/${id}`, { method: 'DELETE' })

export const createTrace = (id: string, content: TraceContent) =>
  request(savedTrace, '/traces', { method: 'POST', body: { id, content } })

export const binTrace = (id: string) => request(savedTrace, `/traces/${id}`, { method: 'DELETE' })

export const restoreTrace = (id: string) => request(savedTrace, `/traces/${id}/restore`, { method: 'POST' })

/** Saves onto a revision; a stale save is a result with what is current, not an error. */
export const saveTrace = (id: string, baseRevision: number, content: TraceContent) =>
  saveOnto(traceContent, `/traces/${id}`, baseRevision, content)
