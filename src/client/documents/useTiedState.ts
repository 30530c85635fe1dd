import type { TiedState } from '../../core/documents/tied.ts'
import type { SavedTied } from '../api/tied.ts'
import { toast } from '../regional/toast.ts'
import { useSave } from './useSave.ts'

/** Changes the state of a tied trace; a change made elsewhere is not overwritten. */
export function useTiedState(saved: SavedTied) {
  const { save, isSaving } = useSave({ kind: 'tied', saved })
  const setState = (state: TiedState) => {
    if (state === saved.content.state) return
    save(
      { content: { ...saved.content, state }, onto: saved.revision },
      {
        onSuccess: (result) => {
          if ('stale' in result) toast.error('It was changed elsewhere. You see it as it is now.')
        },
        onError: (error) => toast.error(error.message),
      },
    )
  }
  return { setState, isSaving }
}
