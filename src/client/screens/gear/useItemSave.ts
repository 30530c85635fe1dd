import { useQueryClient } from '@tanstack/react-query'
import type { Gear } from '../../../core/documents/gear.ts'
import { readContent } from '../../../shared/documentKinds.ts'
import { type SavedDocument, saveDocument } from '../../api/documents.ts'

/** Saves an item that was edited in its row. @returns the reason if it was not saved, else undefined. */
export function useItemSave({ id, revision }: SavedDocument<'gear'>): (next: Gear) => Promise<string | undefined> {
  const client = useQueryClient()
  return async (next) => {
    const read = readContent('gear', next)
    if (!read.ok) return read.message
    try {
      const result = await saveDocument('gear', id, revision, read.content)
      await client.invalidateQueries({ queryKey: ['gear'] })
      return 'stale' in result ? 'This was changed elsewhere meanwhile. Press Enter to save yours over it.' : undefined
    } catch (error) {
      return error instanceof Error ? error.message : String(error)
    }
  }
}
