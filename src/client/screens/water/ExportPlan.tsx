import { Printer } from 'lucide-react'
import type { Mark } from '../../../core/documents/mark.ts'
import type { Trace } from '../../../core/documents/trace.ts'
import type { Day } from '../../../core/plan/dayAtMark.ts'
import { dayEvents } from '../../../core/plan/dayEvents.ts'
import type { Plan } from '../../../core/plan/planDay.ts'
import type { LocalDay } from '../../../core/time/localDay.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { spoken } from '../../regional/spoken.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button } from '../../ui/controls.tsx'
import { DownloadMenu } from '../../ui/DownloadMenu.tsx'
import { download, fileName } from '../../ui/download.ts'
import { assumedWords } from '../../words/assumedWords.ts'
import { eventWords } from '../../words/waterWords.ts'

const placeWords = ({ name, latitudeDeg, longitudeDeg }: Mark) =>
  latitudeDeg === undefined || longitudeDeg === undefined
    ? name
    : `${name} (${latitudeDeg.toFixed(3)}, ${longitudeDeg.toFixed(3)})`

type Props = { mark: Mark; trace: Trace; localDay: LocalDay; day: Day; plan: Plan | undefined }

/** The plan of the day to take along: as a calendar, as a table, on paper. */
export function ExportPlan({ mark, trace, localDay, day, plan }: Props) {
  const show = useShow()
  const catalogue = useCatalogue()
  const title = `${mark.name} ${localDay.date}`
  // What writes the files is fetched when it is wanted.
  const orSay = (save: () => Promise<void>) => () =>
    save().catch(() => toast.error('The file could not be created. Reload the page.'))
  const saveCalendar = orSay(async () => {
    const { writeCalendar } = await import('../../../files/planCalendar.ts')
    const events = dayEvents({ ...day, plan: plan! }, localDay.startMs, localDay.endMs)
    const about = {
      title,
      place: placeWords(mark),
      notes: [
        `With ${trace.name}.`,
        ...assumedWords(mark, show).map(spoken),
        'These are estimates. Trust your own observations and the local tide table first.',
      ].join(' '),
    }
    download(
      fileName(title, 'ics'),
      'text/calendar',
      writeCalendar(about, events, (event) => spoken(eventWords(catalogue, event, show)), Date.now()),
    )
  })
  const saveTable = orSay(async () => {
    const { writePlanCsv } = await import('../../../files/planCsv.ts')
    download(fileName(title, 'csv'), 'text/csv', writePlanCsv(plan!.rows, localDay.timeZone))
  })
  return (
    <span className="no-print flex gap-2">
      <Button onClick={() => print()} disabled={!plan}>
        <Printer className="size-4" aria-hidden="true" /> Print
      </Button>
      <DownloadMenu
        disabled={!plan}
        items={[
          { label: 'Calendar of the day (iCalendar)', onSelect: saveCalendar },
          { label: 'Timetable (CSV)', onSelect: saveTable },
        ]}
      />
    </span>
  )
}
