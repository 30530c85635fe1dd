import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { DOCUMENT_KINDS } from '../../shared/documentKinds.ts'
import type { DocumentKind } from '../../shared/kindNames.ts'
import { emptyTrash } from '../api/documents.ts'
import { toast } from '../regional/toast.ts'
import { Button } from '../ui/controls.tsx'
import { Panel } from '../ui/Panel.tsx'

/** Deletes the trash of a kind for good, after one more question. */
export function EmptyTrash({ kind, count }: { kind: DocumentKind; count: number }) {
  const [open, setOpen] = useState(false)
  const client = useQueryClient()
  const { one, many } = DOCUMENT_KINDS[kind]
  const counted = (n: number) => `${n} ${n === 1 ? one : many}`
  const empty = useMutation({
    mutationFn: () => emptyTrash(kind),
    onSuccess: ({ deleted }) => {
      setOpen(false)
      void client.invalidateQueries({ queryKey: [kind] })
      toast(`${counted(deleted)} deleted.`)
    },
    onError: (error) => toast.error(error.message),
  })
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title="Empty the trash"
      about={`This deletes ${counted(count)} with every revision. An older backup still has them.`}
      trigger={<Button>Empty the trash …</Button>}
    >
      <div className="mt-4 flex justify-end gap-2">
        <Button data-focus-first onClick={() => setOpen(false)}>
          Keep them
        </Button>
        <Button tone="strong" disabled={empty.isPending} onClick={() => empty.mutate()}>
          Delete for good
        </Button>
      </div>
    </Panel>
  )
}
