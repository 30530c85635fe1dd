import { useQuery } from '@tanstack/react-query'
import { gearSchema } from '../../../core/documents/gear.ts'
import type { Piece } from '../../../core/documents/trace.ts'
import { asItem, fromBox, isAs, suits } from '../../../core/edit/fromBox.ts'
import type { Rig } from '../../../core/setup/setup.ts'
import { gearQuery } from '../../api/documents.ts'
import { useSpools } from '../../api/useSpools.ts'
import { useCreate } from '../../documents/useCreation.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, Field, namesOf, Select } from '../../ui/controls.tsx'
import { usualName } from '../../words/gearWords.ts'
import type { Edits } from './useEdits.ts'

type Props = { rig: Rig; piece: Piece; edits: Edits }

/** One’s own things that can stand where the part does, and a way to keep the part as one of them. */
export function FromBox({ rig, piece, edits }: Props) {
  const show = useShow()
  const owned = (useQuery(gearQuery).data ?? []).filter(({ content }) => suits(content, piece))
  const spools = useSpools()
  const bearsN = (id: string) => spools.find((spool) => spool.id === id)?.lesson?.strengthN
  const item = asItem(piece)
  const keep = useCreate('gear', {
    onMade: (saved) => toast(`“${saved.content.name}” is in the box.`),
    onError: (error) => toast.error(error.message),
  })
  const chosen = owned.find(({ id, content }) => isAs(piece, content, bearsN(id)))
  return (
    <div className="grid gap-2 border-t border-rule pt-2">
      {owned.length > 0 && (
        <Field label="from the box" htmlFor="from-box">
          <Select
            id="from-box"
            value={chosen?.id ?? ''}
            onChoose={(next) => {
              const wanted = owned.find(({ id }) => id === next)
              if (wanted) edits.take(fromBox(rig, piece.id, wanted.content, bearsN(wanted.id)))
            }}
            choices={[{ value: '', text: 'not from the box' }, ...namesOf(owned)]}
          />
        </Field>
      )}
      {item && !chosen && (
        <Button
          tone="quiet"
          className="justify-self-start"
          disabled={keep.isPending}
          onClick={() => keep.create(gearSchema.parse({ ...item, name: usualName(rig.catalogue, item, show) }))}
        >
          Add to the box
        </Button>
      )}
    </div>
  )
}
