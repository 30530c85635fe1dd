import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import dayjs from 'dayjs'
import relativeTime from 'dayjs/plugin/relativeTime'
import { Download } from 'lucide-react'
import { useState } from 'react'
import type { RestoreReport } from '../../../shared/backup.ts'
import { DOCUMENT_KINDS } from '../../../shared/documentKinds.ts'
import type { DocumentKind } from '../../../shared/kindNames.ts'
import { BACKUP_ADDRESS, keptBackupsQuery, lookAtBackup, restoreBackup, restoringQuery } from '../../api/backup.ts'
import { toast } from '../../regional/toast.ts'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'
import { FileField } from '../../ui/FileField.tsx'
import { Fault } from '../../ui/states.tsx'

dayjs.extend(relativeTime)

const LOOK_MS = 500

/** Everything carried away as one file and brought back, and how old the newest of those is that are kept by themselves. */
export function Backups() {
  return (
    <Sheet title="Backup">
      <p className="mb-3 text-quiet">
        All your data in one file: traces with every revision, outfits, marks, observations and the trash. It is not encrypted, so
        keep it safe.
      </p>
      <KeptAge />
      <a className={`${buttonClass('plain')} w-fit`} href={BACKUP_ADDRESS} download>
        <Download size={16} aria-hidden="true" /> Download a backup
      </a>
      <Restore />
    </Sheet>
  )
}

function KeptAge() {
  const kept = useQuery(keptBackupsQuery)
  if (kept.error && !kept.data) return <p className="mb-2 text-sm text-watch">The age of the daily backup is unknown.</p>
  if (!kept.data) return <p className="mb-2 text-sm text-quiet">Loading the daily backup …</p>
  const { newest, folder, count } = kept.data
  if (newest === undefined)
    return <p className="mb-2 text-sm text-watch">There is no automatic backup. Download one from time to time.</p>
  return (
    <p className="mb-2 text-sm">
      The newest daily backup is {dayjs(newest).fromNow(true)} old; {count} {count === 1 ? 'is' : 'are'} kept in{' '}
      <code className="break-all">{folder}</code>.
    </p>
  )
}

function Restore() {
  const client = useQueryClient()
  const [file, setFile] = useState<File>()
  const look = useMutation({ mutationFn: lookAtBackup })
  const restore = useMutation({
    mutationFn: restoreBackup,
    onSuccess: async () => {
      toast.success('The backup is restored.')
      await client.invalidateQueries()
    },
  })
  const choose = (chosen: File | undefined) => {
    setFile(chosen)
    restore.reset()
    if (chosen) look.mutate(chosen)
    else look.reset()
  }
  const error = look.error ?? restore.error
  return (
    <div className="mt-4 grid gap-2 border-t border-rule pt-3">
      <FileField
        label="restore from a file"
        hint="overwrites nothing; you see the changes first"
        accept=".jsonl"
        onChoose={choose}
      />
      {look.isPending && <Working what="Reading the backup" />}
      {restore.isPending && <Working what="Restoring" />}
      {error && <Fault>{error.message} Nothing was changed.</Fault>}
      {file && look.data && !restore.data && (
        <>
          <Report report={look.data} />
          {changes(look.data) > 0 && (
            <Button tone="strong" className="w-fit" disabled={restore.isPending} onClick={() => restore.mutate(file)}>
              {restore.isPending ? 'Restoring …' : 'Restore this'}
            </Button>
          )}
        </>
      )}
      {restore.data && <Report report={restore.data} />}
    </div>
  )
}

/** Progress of the restore on the server. */
function Working({ what }: { what: string }) {
  const share = useQuery({ ...restoringQuery, refetchInterval: LOOK_MS }).data?.share ?? undefined
  return (
    <p role="status" className="flex items-center gap-3">
      {what} …
      <progress className="h-2 flex-1 accent-tide" value={share} aria-label={what} />
    </p>
  )
}

const changes = ({ revisions, observations, stock }: RestoreReport) => revisions + observations + stock

const plural = (count: number, one: string) => `${count} ${one}${count === 1 ? '' : 's'}`

function Report({ report }: { report: RestoreReport }) {
  const { done, added, continued, kept, apart, revisions, observations, stock } = report
  return (
    <div role="status" className="text-sm">
      {changes(report) === 0 ? (
        <p>You already have everything in this backup.</p>
      ) : (
        <p>
          {done ? 'Added' : 'This adds'}: {plural(added, 'new document')}, {plural(continued, 'document')} continued (
          {plural(revisions, 'revision')}), {plural(observations, 'observation')}, {stock} {stock === 1 ? 'entry' : 'entries'} of
          stock and batches. {plural(kept, 'document')} {kept === 1 ? 'stays' : 'stay'} as {kept === 1 ? 'it is' : 'they are'}.
        </p>
      )}
      {apart.length > 0 && (
        <>
          <p className="mt-1 text-watch">Changed both here and in the backup, so not restored:</p>
          <ul className="list-disc pl-5">
            {apart.map(({ kind, id, name }) => (
              <li key={`${kind} ${id}`}>
                {name} ({DOCUMENT_KINDS[kind as DocumentKind]?.one ?? kind})
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}
