import { randomBytes } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Problem } from '../problem.ts'
import { giveToOwner, runAsOwner } from './owner.ts'
import { serverOn } from './processes.ts'

/** Any system user may reach loopback, so the server asks for a password of its own, kept beside its data. */
export const ADMIN = 'wide_reach'

/** A folder that is being made into a data folder: it holds nothing of anyone’s until it has its name. */
const MAKING = 'making-'
const BINARIES = '/usr/lib/postgresql'

export type Cluster = { folder: string; data: string; bin: string; password: string; log: string }

/** PostgreSQL’s programs of one major version, or of the newest there is. */
export function binariesOf(major?: string): string | undefined {
  if (!existsSync(BINARIES)) return undefined
  const versions = readdirSync(BINARIES)
    .filter((version) => major === undefined || version === major)
    .sort((a, b) => Number(b) - Number(a))
  return versions.map((version) => join(BINARIES, version, 'bin')).find((folder) => existsSync(join(folder, 'initdb')))
}

/** What to do with data that cannot be used, the same for every reason. */
const wayBack = (folder: string) =>
  `Nothing was changed. To begin again, move ${folder} elsewhere, run “npm start”, and bring back a backup with “npm run restore -- FILE”; the daily ones are in the folder backups beside it.`

export const unusable = (cluster: Pick<Cluster, 'folder' | 'data'>, why: string): Problem =>
  new Problem(`The database in ${cluster.data} cannot be used: ${why}. ${wayBack(cluster.folder)}`)

/** The cluster in a folder, made only where nothing is. Whatever else is found there is left alone, with a sentence that says what it is. */
export async function openCluster(folder: string): Promise<Cluster> {
  const data = join(folder, 'data')
  const log = join(folder, 'postgres.log')
  const passwordFile = join(folder, 'password')
  if (!existsSync(data) || readdirSync(data).length === 0) await make(folder, data, passwordFile)
  const version = read(join(data, 'PG_VERSION'))
  if (version === undefined) throw unusable({ folder, data }, 'its file PG_VERSION is missing, so it is no whole data folder')
  const bin = binariesOf(version)
  if (!bin)
    throw unusable(
      { folder, data },
      `it was made by PostgreSQL ${version}, which is not on this machine; install postgresql-${version} to use it, back it up with “npm run backup -- FILE” and restore that under the new version`,
    )
  const password = read(passwordFile)
  if (password === undefined || !/^[0-9a-f]{48}$/.test(password))
    throw unusable(
      { folder, data },
      `its password, the file ${passwordFile}, is missing or damaged; put that file back if you have it`,
    )
  return { folder, data, bin, password, log }
}

const read = (file: string): string | undefined => (existsSync(file) ? readFileSync(file, 'utf8').trim() : undefined)

/** Made under another name and moved into place whole: a start that is cut short leaves nothing that looks like a database. */
async function make(folder: string, data: string, passwordFile: string): Promise<void> {
  for (const left of readdirSync(folder))
    if (left.startsWith(MAKING)) rmSync(join(folder, left), { recursive: true, force: true })
  const bin = binariesOf()
  if (!bin) throw new Problem(`Debian's postgresql was installed, but its initdb was not found under ${BINARIES}.`)
  const making = join(folder, `${MAKING}${process.pid}`)
  const password = `${making}-password`
  try {
    writeFileSync(password, randomBytes(24).toString('hex'), { mode: 0o600 })
    giveToOwner(password)
    const made = await runAsOwner(join(bin, 'initdb'), [
      ...['-D', making, '-U', ADMIN, '-A', 'scram-sha-256', `--pwfile=${password}`, '-E', 'UTF8', '--locale=C.UTF-8'],
      '-N',
    ])
    if (!made.ok) throw new Problem(`PostgreSQL could not make its data folder in ${folder}: ${made.error}`)
    // The password first: one without data is made anew with them, data without one are not.
    renameSync(password, passwordFile)
    // Takes the place of an empty folder, and of no other.
    renameSync(making, data)
  } catch (error) {
    rmSync(making, { recursive: true, force: true })
    if (error instanceof Problem) throw error
    throw new Problem(`PostgreSQL could not make its data folder in ${folder}: ${(error as Error).message}`)
  }
}

/** Starts the server of a cluster on a port of loopback, and waits until it answers. */
export async function launch(cluster: Cluster, port: number, durable: boolean): Promise<void> {
  // A pid file is a lock; where no server runs on these data it was left by one that is gone, whoever has its number now.
  if (!serverOn(cluster.data)) rmSync(join(cluster.data, 'postmaster.pid'), { force: true })
  const settings = [
    '-c listen_addresses=127.0.0.1',
    "-c unix_socket_directories=''",
    `-c port=${port}`,
    // After a crash the whole disk is synced at once, not file by file: it is back in seconds.
    '-c recovery_init_sync_method=syncfs',
    ...(durable ? [] : ['-c fsync=off', '-c full_page_writes=off']),
  ]
  const began = read(cluster.log)?.length ?? 0
  const started = await pgCtl(cluster, '-l', cluster.log, '-o', settings.join(' '), 'start')
  if (!started.ok) throw unusable(cluster, `PostgreSQL did not start (${lastComplaint(cluster.log, began)})`)
}

export const pgCtl = ({ bin, data }: Cluster, ...args: string[]) =>
  runAsOwner(join(bin, 'pg_ctl'), ['-D', data, '-w', '-t', '30', ...args])

/** What the log’s last error says, of those written since it had so many letters. */
function lastComplaint(log: string, began: number): string {
  const lines = (read(log) ?? '').slice(began).split('\n')
  const last = lines.filter((line) => /(FATAL|PANIC|ERROR|could not)/.test(line)).at(-1)
  return last?.replace(/^.*?(FATAL|PANIC|ERROR):\s*/, '').trim() || `its log is ${log}`
}
