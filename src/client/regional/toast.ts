import { type ExternalToast, toast as show } from 'sonner'
import { spoken } from './spoken.ts'

type Tell = (message: string, options?: ExternalToast) => void

const inRegion =
  (tell: (message: string, options?: ExternalToast) => unknown): Tell =>
  (message, options) =>
    void tell(spoken(message), options?.action ? { duration: WITH_ACTION_MS, ...options } : options)

/** A message that offers a way back stays long enough to be read and touched. */
const WITH_ACTION_MS = 10_000

/** A short message at the edge of the screen, in the words of the region. */
export const toast: Tell & { success: Tell; error: Tell } = Object.assign(inRegion(show), {
  success: inRegion(show.success),
  error: inRegion(show.error),
})
