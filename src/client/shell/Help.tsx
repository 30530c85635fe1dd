import { CircleHelp } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link, useLocation } from 'react-router'
import { Button } from '../ui/controls.tsx'
import { Panel } from '../ui/Panel.tsx'
import { EVERYWHERE, helpFor } from '../words/help.ts'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || target.matches('input, textarea, select'))

/** What the screen is for and its keys, by a button or by “?”. It closes when the user goes to another screen. */
export default function Help() {
  const { pathname } = useLocation()
  return <HelpOf key={pathname} pathname={pathname} />
}

function HelpOf({ pathname }: { pathname: string }) {
  const [open, setOpen] = useState(false)
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key !== '?' || event.ctrlKey || event.metaKey || isTyping(event.target)) return
      event.preventDefault()
      setOpen(true)
    }
    window.addEventListener('keydown', onKeyDown)
    return () => window.removeEventListener('keydown', onKeyDown)
  }, [])
  const help = helpFor(pathname)
  return (
    <Panel
      open={open}
      onOpenChange={setOpen}
      title={help?.title ?? 'Help'}
      about={help?.text[0] ?? 'Keys that work on every page.'}
      trigger={
        <Button tone="quiet" aria-label="Help" title="Help (?)">
          <CircleHelp className="size-5" aria-hidden="true" />
        </Button>
      }
    >
      {help?.text.slice(1).map((sentence) => (
        <p key={sentence} className="mt-2">
          {sentence}
        </p>
      ))}
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-sm">
        {[...(help?.shortcuts ?? []), ...EVERYWHERE].map(({ keys, does }) => (
          <div key={keys} className="contents">
            <dt className="font-semibold whitespace-nowrap">{keys}</dt>
            <dd className="text-quiet">{does}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-4">
        <Link to="/glossary" className="underline" onClick={() => setOpen(false)}>
          Glossary: the words of the trade
        </Link>
      </p>
    </Panel>
  )
}
