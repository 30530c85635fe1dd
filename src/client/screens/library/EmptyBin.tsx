import { useMutation, useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { toast } from 'sonner'
import { emptyBin } from '../../api/documents.ts'
import { Button } from '../../ui/controls.tsx'
import { Panel } from '../../ui/Panel.tsx'

/** The bin emptied for good, after one more question. */
export default function EmptyBin({ count }: { count: number }) {
  const [open, setOpen] = useState(false)
  const client = useQueryClient()
  const empty = useMutation({
    mutationFn: () => emptyBin('traces'),
    onSuccess: ({ deleted }) => {
      setOpen(false)
      void client.invalidateQueries({ queryKey: ['traces'] })
      toast(`${traces(deleted)} deleted.`)
    },
    onError: (error) => toast.error(error.message),
  })
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title="Empty the bin"
      about={`${traces(count)} with every revision would be deleted for good. A backup made before still has them.`}
      trigger={<Button>Empty the bin …</Button>}
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

const traces = (count: number) => (count === 1 ? 'One trace' : `${count} traces`)
