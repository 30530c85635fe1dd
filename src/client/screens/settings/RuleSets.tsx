import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Pencil, Plus } from 'lucide-react'
import { useState } from 'react'
import type { RuleSet } from '../../../core/documents/ruleSet.ts'
import { changeCrewSettings, crewSettingsQuery, type SavedRuleSet } from '../../api/documents.ts'
import { DocumentButtons } from '../../documents/DocumentButtons.tsx'
import { DocumentList } from '../../documents/DocumentList.tsx'
import type { DocumentActions } from '../../documents/useDocumentActions.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Sheet } from '../../ui/controls.tsx'
import { RuleSetPanel } from './RuleSetPanel.tsx'

/** The user's own summaries of local rules. Findings remind of the one in force. */
export function RuleSets() {
  const [editing, setEditing] = useState<SavedRuleSet | 'new'>()
  return (
    <Sheet>
      <div className="grid gap-2">
        <DocumentList
          kind="rule-sets"
          title="Rule sets"
          isSection
          actions={() => (
            <Button onClick={() => setEditing('new')}>
              <Plus className="size-4" aria-hidden="true" /> New rule set
            </Button>
          )}
          empty={{ title: 'No rule sets yet', text: 'Note the limits from your local rules. The bench reminds you of them.' }}
        >
          {(sets, isTrash, actions) => (
            <>
              <p className="text-quiet">
                Your notes of the local rules: limits on leader and hooks, and what is not allowed. The bench reminds you of the
                set in force. The local rules decide.
              </p>
              <RuleSetRows sets={sets} isTrash={isTrash} actions={actions} onEdit={setEditing} />
            </>
          )}
        </DocumentList>
      </div>
      {editing && <RuleSetPanel saved={editing === 'new' ? undefined : editing} onClose={() => setEditing(undefined)} />}
    </Sheet>
  )
}

type RowsProps = {
  sets: readonly SavedRuleSet[]
  isTrash: boolean
  actions: DocumentActions<'rule-sets'>
  onEdit: (set: SavedRuleSet) => void
}

function RuleSetRows({ sets, isTrash, actions, onEdit }: RowsProps) {
  const show = useShow()
  const client = useQueryClient()
  const settings = useQuery(crewSettingsQuery)
  const force = useMutation({
    mutationFn: (id: string | undefined) =>
      changeCrewSettings(client, ({ ruleSetId: _old, ...rest }) => ({ ...rest, ...(id === undefined ? {} : { ruleSetId: id }) })),
    onError: (error) => toast.error(error.message),
  })
  const known = settings.data?.content.ruleSetId
  const inForce = force.isPending ? force.variables : sets.find(({ id }) => id === known)?.id
  const choice = (id: string | undefined) => ({
    id: `rule-set-${id ?? 'none'}`,
    name: 'rule-set',
    className: 'size-5 shrink-0',
    checked: inForce === id,
    disabled: force.isPending || !settings.data,
    onChange: () => force.mutate(id),
  })
  return (
    <ul aria-label={isTrash ? 'Deleted rule sets' : 'Rule set in force'} className="grid gap-1">
      {sets.map((set) => (
        <li key={set.id} className="flex flex-wrap items-center gap-x-3 border-t border-rule py-1">
          <label htmlFor={`rule-set-${set.id}`} className="flex min-h-9 flex-1 items-center gap-2">
            {!isTrash && <input type="radio" {...choice(set.id)} />}
            <span>
              <span translate="no">{set.content.name}</span>
              <span className="block text-sm text-quiet">
                {[`last checked ${show.date(set.content.checkedOn)}`, ...limitsOf(set.content, show)].join(', ')}
              </span>
            </span>
          </label>
          <span className="flex gap-1">
            {!isTrash && (
              <Button tone="quiet" title="Edit" onClick={() => onEdit(set)} aria-label={`Edit ${set.content.name}`}>
                <Pencil className="size-4" aria-hidden="true" />
              </Button>
            )}
            <DocumentButtons id={set.id} name={set.content.name} saved={set} isTrash={isTrash} actions={actions} />
          </span>
        </li>
      ))}
      {!isTrash && (
        <li className="border-t border-rule py-1">
          <label htmlFor="rule-set-none" className="flex min-h-9 items-center gap-2">
            <input type="radio" {...choice(undefined)} />
            none in force
          </label>
        </li>
      )}
    </ul>
  )
}

/** The limits of a set, in words. */
function limitsOf(set: RuleSet, show: ReturnType<typeof useShow>): string[] {
  const length = (name: string, m: number | undefined) => (m === undefined ? [] : [`${name} to ${show.entered('length', m)}`])
  const limits = [
    ...length('leader', set.maxLeaderM),
    ...length('double', set.maxDoubleM),
    ...length('both', set.maxCombinedM),
    ...(set.maxHooks === undefined ? [] : [`at most ${set.maxHooks} hooks`]),
    ...(set.circleOnly ? ['circle hooks only'] : []),
    ...(set.nonOffsetOnly ? ['no offset hooks'] : []),
    ...(set.barblessOnly ? ['barbless only'] : []),
    ...(set.trebleWithBait ? [] : ['no treble with bait']),
    ...(set.wireAllowed ? [] : ['no wire']),
    ...(set.lightsAllowed ? [] : ['no lights']),
    ...(set.leastLeadKg === undefined ? [] : [`no lead sinker under ${show.entered('mass', set.leastLeadKg)}`]),
  ]
  return limits.length > 0 ? limits : ['no limits']
}
