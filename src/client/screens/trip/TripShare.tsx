import { Printer, Share2 } from 'lucide-react'
import { spoken } from '../../regional/spoken.ts'
import { toast } from '../../regional/toast.ts'
import { Button } from '../../ui/controls.tsx'
import { copyText } from '../../ui/copyText.ts'
import { DownloadMenu } from '../../ui/DownloadMenu.tsx'
import { download, fileName } from '../../ui/download.ts'
import type { SheetPart } from './TripSheet.tsx'

type Props = {
  name: string
  sheet: readonly SheetPart[]
  entries: readonly { fromMs: number; toMs: number; title: string; place: string }[]
}

/** The plan to take along: shared as text, printed on a page, or as entries of a calendar. */
export function TripShare({ name, sheet, entries }: Props) {
  const text = [name, ...sheet.flatMap(({ title, lines }) => ['', title, ...lines])].map(spoken).join('\n')
  const share = () => {
    if (!navigator.share) return copyText(text, 'The plan is copied as text.')
    navigator.share({ title: name, text }).catch((error: Error) => {
      if (error.name !== 'AbortError') copyText(text, 'The plan is copied as text.')
    })
  }
  const saveCalendar = async () => {
    try {
      const { writeTripCalendar } = await import('../../../files/tripCalendar.ts')
      download(fileName(name, 'ics'), 'text/calendar', writeTripCalendar(name, text, entries, Date.now()))
    } catch {
      toast.error('The file could not be created. Reload the page.')
    }
  }
  return (
    <>
      <Button onClick={share}>
        <Share2 className="size-4" aria-hidden="true" /> Share
      </Button>
      <Button onClick={() => print()}>
        <Printer className="size-4" aria-hidden="true" /> Print
      </Button>
      <DownloadMenu items={[{ label: 'Calendar (iCalendar)', onSelect: saveCalendar }]} />
    </>
  )
}
