import { useQueryClient } from '@tanstack/react-query'
import { toast } from 'sonner'
import type { Gear } from '../../../core/documents/gear.ts'
import { readContent } from '../../../shared/documentKinds.ts'
import { type SavedDocument, saveDocument } from '../../api/documents.ts'

/** Saves an item as it is edited in its row; what was changed elsewhere since is not written over. */
export function useItemSave({ id, revision }: SavedDocument<'gear'>): (next: Gear) => void {
  const client = useQueryClient()
  return (next) => {
    const read = readContent('gear', next)
    if (!read.ok) {
      toast.error(read.message)
      return
    }
    saveDocument('gear', id, revision, read.content)
      .then((result) => {
        if ('stale' in result)
          toast.error(`“${result.stale.content.name}” was changed elsewhere since; it is shown as it is now.`)
      })
      .catch((error: Error) => toast.error(error.message))
      .finally(() => void client.invalidateQueries({ queryKey: ['gear'] }))
  }
}
