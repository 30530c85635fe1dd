// npm run restore -- FILE [--yes]: brings a backup into the database; what is there stays, and where there is something it asks first.
import { createReadStream, existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { createInterface } from 'node:readline/promises'
import { BackupFault } from '../src/server/backup/backupFault.ts'
import { linesOf } from '../src/server/backup/lines.ts'
import { restoreBackup } from '../src/server/backup/restoreBackup.ts'
import type { Database } from '../src/server/db/database.ts'
import type { RestoreReport } from '../src/shared/backup.ts'
import { withDatabase } from './lib/database.ts'
import { Problem, runMain } from './lib/problem.ts'

await runMain(async () => {
  const words = process.argv.slice(2)
  const [wanted, ...rest] = words.filter((word) => word !== '--yes')
  if (!wanted || rest.length > 0) throw new Problem('Say which file to read: npm run restore -- FILE [--yes]')
  const file = resolve(wanted)
  if (!existsSync(file)) throw new Problem(`There is no file ${file}.`)
  await withDatabase(async (db) => {
    const restored = (lookOnly: boolean) => restoreBackup(db, () => linesOf(createReadStream(file)), { lookOnly })
    const wouldDo = await restored(true)
    if (!words.includes('--yes') && (await isFilled(db)) && !(await agreed(wouldDo))) throw new Problem('Nothing was changed.')
    console.log(`Restored: ${told(await restored(false))}`)
  }).catch((error: unknown) => {
    if (error instanceof BackupFault) throw new Problem(`${file} cannot be restored. ${error.message} Nothing was changed.`)
    throw error
  })
})

async function isFilled(db: Database): Promise<boolean> {
  return (await db.selectFrom('documents').select('id').limit(1).execute()).length > 0
}

async function agreed(report: RestoreReport): Promise<boolean> {
  if (!process.stdin.isTTY)
    throw new Problem(`There is data in the database already. Say --yes to merge the backup into it: ${told(report)}`)
  const terminal = createInterface({ input: process.stdin, output: process.stdout })
  const answer = await terminal.question(
    `There is data in the database already. The backup would be merged into it: ${told(report)}\nGo on? (yes/no) `,
  )
  terminal.close()
  return answer.trim().toLowerCase() === 'yes'
}

function told({ added, continued, kept, apart, revisions, observations, stock }: RestoreReport): string {
  const names = apart.map(({ kind, name }) => `${name} (${kind})`).join(', ')
  return [
    `${added} documents new, ${continued} continued, ${kept} there already;`,
    `${revisions} revisions, ${observations} observations and ${stock} entries of stock and batches brought in.`,
    ...(apart.length > 0 ? [`Left as they are here, since they went another way: ${names}.`] : []),
  ].join(' ')
}
