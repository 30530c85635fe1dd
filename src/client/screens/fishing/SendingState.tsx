import { useState } from 'react'
import type { useOutbox } from '../../api/outbox.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Panel } from '../../ui/Panel.tsx'

type Props = { outbox: ReturnType<typeof useOutbox>; timeZone: string | undefined }

/** Whether what is logged has reached the server. */
export function SendingState({ outbox: { waiting, refused, isMemoryOnly }, timeZone }: Props) {
  const show = useShow()
  const [isOpen, setOpen] = useState(false)
  const words = refused.length > 0 ? `${refused.length} refused` : waiting.length > 0 ? `${waiting.length} waiting` : 'all sent'
  return (
    <span className="text-sm">
      <span role="status">
        <button
          type="button"
          className={`min-h-13! underline decoration-dotted ${refused.length > 0 ? 'text-fails' : 'text-quiet'}`}
          onClick={() => setOpen(true)}
        >
          {words}
        </button>
      </span>
      {isMemoryOnly && (
        <strong className="block text-fails">This browser keeps nothing: stay on this page until all is sent.</strong>
      )}
      {isOpen && (
        <Panel
          open
          onOpenChange={setOpen}
          title="Sending"
          about="What you log is kept in this browser and sent in order when there is a network."
        >
          <p className="mt-3">{waiting.length === 0 ? 'Nothing waits.' : `${waiting.length} wait for the network.`}</p>
          {refused.map(({ observation, why }) => (
            <p key={observation.id} className="mt-1 text-fails">
              {show.clock(Date.parse(observation.at), timeZone)}: {why} It is kept in this browser.
            </p>
          ))}
        </Panel>
      )}
    </span>
  )
}
