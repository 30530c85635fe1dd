import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { toast } from 'sonner'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import { binDocument, changeCrewSettings, crewSettingsQuery, ruleSetsQuery, type SavedRuleSet } from '../../api/documents.ts'
import { useKeep } from '../../api/useKeep.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { RuleSetPanel } from './RuleSetPanel.tsx'

/** The user's own summaries of the rule book: one is in force, and findings remind of it. */
export function RuleSets() {
  const sets = useQuery(ruleSetsQuery)
  return (
    <Sheet title="Rule sets">
      <p className="mb-3 text-quiet">
        What you noted from the rule book: limits on leader and hooks, what is barred. Findings on the bench remind of the one in
        force. The local book decides.
      </p>
      {sets.error && !sets.data ? (
        <Failed what="The rule sets" error={sets.error} onRetry={() => sets.refetch()} />
      ) : sets.data ? (
        <RuleSetList sets={sets.data} />
      ) : (
        <Loading what="the rule sets" />
      )}
    </Sheet>
  )
}

function RuleSetList({ sets }: { sets: SavedRuleSet[] }) {
  const show = useShow()
  const client = useQueryClient()
  const [editing, setEditing] = useState<SavedRuleSet | 'new'>()
  const settings = useQuery(crewSettingsQuery)
  const onError = (error: Error) => toast.error(error.message)
  const done = { onSuccess: () => client.invalidateQueries({ queryKey: ['rule-sets'] }), onError }
  const force = useMutation({
    mutationFn: (id: string | undefined) =>
      changeCrewSettings(client, ({ ruleSetId: _old, ...rest }) => ({ ...rest, ...(id === undefined ? {} : { ruleSetId: id }) })),
    onError,
  })
  const keeping = useKeep('rule-sets', editing, () => setEditing(undefined))
  const bin = useMutation({ mutationFn: (id: string) => binDocument('rule-sets', id), ...done })
  const known = settings.data?.content.ruleSetId
  const inForce = force.isPending ? force.variables : sets.find(({ id }) => id === known)?.id
  return (
    <div className="grid gap-2">
      <ul aria-label="Rule set in force" className="grid gap-1">
        {[...sets, undefined].map((set) => (
          <li key={set?.id ?? 'none'} className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1">
            <label className="flex min-h-9 flex-1 items-center gap-2">
              <input
                type="radio"
                name="rule-set"
                className="size-5 shrink-0"
                checked={inForce === set?.id}
                disabled={force.isPending || !settings.data}
                onChange={() => force.mutate(set?.id)}
              />
              <span>
                {set ? set.content.name : 'none in force'}
                {set && (
                  <span className="block text-sm text-quiet">
                    last checked {set.content.checkedOn}. {limitsOf(set.content, show).join(', ')}
                  </span>
                )}
              </span>
            </label>
            {set && (
              <span className="flex gap-1">
                <Button tone="quiet" onClick={() => setEditing(set)} aria-label={`Change ${set.content.name}`}>
                  Change
                </Button>
                <Button tone="quiet" onClick={() => bin.mutate(set.id)} aria-label={`Put ${set.content.name} in the bin`}>
                  Bin
                </Button>
              </span>
            )}
          </li>
        ))}
      </ul>
      <Button className="justify-self-start" onClick={() => setEditing('new')}>
        <Plus className="size-4" /> New rule set
      </Button>
      {editing && <RuleSetPanel set={editing === 'new' ? undefined : editing.content} {...keeping} />}
    </div>
  )
}

/** What a set limits, in words. */
function limitsOf(set: RuleSet, show: ReturnType<typeof useShow>): string[] {
  const length = (name: string, m: number | undefined) => (m === undefined ? [] : [`${name} to ${show.entered('length', m)}`])
  const limits = [
    ...length('leader', set.maxLeaderM),
    ...length('double', set.maxDoubleM),
    ...length('both', set.maxCombinedM),
    ...(set.maxHooks === undefined ? [] : [`${set.maxHooks} hooks`]),
    ...(set.circleOnly ? ['circles only'] : []),
    ...(set.nonOffsetOnly ? ['no offset hooks'] : []),
    ...(set.barblessOnly ? ['barbless only'] : []),
    ...(set.trebleWithBait ? [] : ['no treble with bait']),
    ...(set.wireAllowed ? [] : ['no wire']),
    ...(set.lightsAllowed ? [] : ['no lights']),
    ...(set.leastLeadKg === undefined ? [] : [`no lead under ${show.entered('mass', set.leastLeadKg)}`]),
  ]
  return limits.length > 0 ? limits : ['limits nothing']
}
