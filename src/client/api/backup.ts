import { queryOptions } from '@tanstack/react-query'
import { keptBackups, restoreProgress, restoreReport } from '../../shared/backup.ts'
import { request } from './http.ts'

/** Where everything of the crew is to be had as one file. */
export const BACKUP_ADDRESS = '/api/backup'

export const keptBackupsQuery = queryOptions({ queryKey: ['kept-backups'], queryFn: () => request(keptBackups, '/backup/kept') })

/** How far the restore is that the server is working on. */
export const restoringQuery = queryOptions({
  queryKey: ['restoring'],
  queryFn: () => request(restoreProgress, '/backup/restoring'),
})

/** What restoring a backup would do; nothing is changed. */
export const lookAtBackup = (file: File) => request(restoreReport, '/backup?do=look', { method: 'POST', file })

export const restoreBackup = (file: File) => request(restoreReport, '/backup?do=restore', { method: 'POST', file })
