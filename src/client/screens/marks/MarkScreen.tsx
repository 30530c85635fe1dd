import { useQuery } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { marksQuery } from '../../api/documents.ts'
import { portsQuery } from '../../api/tides.ts'
import { LearnedAtMarks } from '../../lessons/LearnedAtMarks.tsx'
import { Failed, Loading } from '../../ui/states.tsx'
import { MarkForm } from './MarkForm.tsx'
import { newMark } from './newMark.ts'

/** One mark, new or known. */
export default function MarkScreen() {
  const { id } = useParams()
  const marks = useQuery(marksQuery)
  const ports = useQuery(portsQuery)
  if (marks.error && !marks.data) return <Failed isPage what="The mark" error={marks.error} onRetry={() => marks.refetch()} />
  // Without the tide service a tide can still be typed.
  if (!marks.data || ports.isPending) return <Loading what="the mark" />
  if (id === 'new') {
    const timeZone = marks.data[0]?.content.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone
    return <MarkForm key="new" saved={undefined} blank={newMark(timeZone, { name: '' })} ports={ports.data ?? []} />
  }
  const saved = marks.data.find((mark) => mark.id === id)
  if (!saved)
    return (
      <Failed
        isPage
        what="The mark"
        error={new Error('This mark was deleted or never existed. Look in the trash of the marks.')}
      />
    )
  return (
    <>
      <MarkForm key={saved.id} saved={saved} blank={saved.content} ports={ports.data ?? []} />
      <div className="px-3 pb-3 sm:px-6">
        <LearnedAtMarks markIds={[saved.id]} />
      </div>
    </>
  )
}
