// npm run backup -- FILE: everything in the database as one open file.
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { writeBackup } from '../src/server/backup/writeBackup.ts'
import { withDatabase } from './lib/database.ts'
import { Problem, runMain } from './lib/problem.ts'

await runMain(async () => {
  const [wanted, ...rest] = process.argv.slice(2)
  if (!wanted || rest.length > 0) throw new Problem('Say which file to write: npm run backup -- FILE')
  const file = resolve(wanted)
  if (existsSync(file)) throw new Problem(`${file} is there already. Name another, so that no backup is written over.`)
  await withDatabase((db) => writeBackup(db, file)).catch((error: NodeJS.ErrnoException) => {
    if (error.syscall) throw new Problem(`The backup could not be written to ${file} (${error.message}).`)
    throw error
  })
  console.log(`Everything is in ${file}. It is not encrypted: keep it where only you can read it.`)
})
