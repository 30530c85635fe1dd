import { rmSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { installDebianPackage } from '../debian.ts'
import { freePort } from '../freePort.ts'
import { ADMIN, binariesOf, type Cluster, launch, openCluster, pgCtl, unusable } from './cluster.ts'
import { reachableFolder } from './owner.ts'
import { serverAt, serverOn, Users } from './processes.ts'
import { APP_ROLE, MIGRATIONS_ROLE, passwordOf, prepareRoles } from './roles.ts'

/** How often it is looked whether the server is still there. */
const LOOK_MS = 500
/** The same while it ends, and for how many times. */
const LOOK_AT_END_MS = 10
const MAX_LOOKS_AT_END = 500

export type Postgres = {
  /** As superuser: for making databases and roles. */
  adminUrl: string
  /** As the owner of the schema. */
  migrationsUrl: string
  /** As the application. */
  appUrl: string
  folder: string
  /** The other runs that use it already. */
  sharedWith: readonly number[]
  stop: () => Promise<void>
}

export function ensurePostgres(): void {
  if (!binariesOf()) installDebianPackage('postgresql', 'Wide Reach')
}

/**
 * A PostgreSQL server of the project's own, on loopback, with its data in `wanted` (or, where user postgres cannot reach that,
 * in a private folder under /var/tmp). One that runs there already is shared; whoever leaves last stops it. While it is used it is
 * looked after: gone without being asked, it is started again on the same port.
 */
export async function startPostgres(wanted: string, options: { durable: boolean }): Promise<Postgres> {
  ensurePostgres()
  const cluster = await openCluster(await reachableFolder(wanted))
  const users = new Users(cluster.folder)
  users.enter()
  const running = serverOn(cluster.data)
  const port = running?.port ?? (await freePort())
  try {
    if (!running) await launch(cluster, port, options.durable)
    await prepareRoles(urlOf(cluster, port, ADMIN), cluster.password).catch((error: Error) => {
      throw unusable(cluster, error.message)
    })
  } catch (error) {
    if (users.leave()) await stopServer(cluster)
    throw error
  }
  const stopLooking = lookAfter(cluster, port, options.durable)
  return {
    adminUrl: urlOf(cluster, port, ADMIN),
    migrationsUrl: urlOf(cluster, port, MIGRATIONS_ROLE),
    appUrl: urlOf(cluster, port, APP_ROLE),
    folder: cluster.folder,
    sharedWith: users.others(),
    stop: async () => {
      await stopLooking()
      if (users.leave()) await stopServer(cluster)
    },
  }
}

/** `pg_ctl` waits until the pid file is removed. The process ends a little later, and until then the next start would share it. */
async function stopServer(cluster: Cluster): Promise<void> {
  const server = serverOn(cluster.data)
  await pgCtl(cluster, '-m', 'fast', 'stop')
  for (let i = 0; server && i < MAX_LOOKS_AT_END && serverAt(server.pid, cluster.data); i += 1) await wait(LOOK_AT_END_MS)
}

/** Stops a server and removes its data: for databases of tests, which nobody else uses. */
export async function removePostgres(postgres: Postgres): Promise<void> {
  await postgres.stop()
  rmSync(postgres.folder, { recursive: true, force: true })
}

function urlOf({ password }: Cluster, port: number, role: string): string {
  return `postgres://${role}:${role === ADMIN ? password : passwordOf(role, password)}@127.0.0.1:${port}/postgres`
}

/** @returns what ends it, once a start under way is done. */
function lookAfter(cluster: Cluster, port: number, durable: boolean): () => Promise<void> {
  let starting: Promise<void> | undefined
  let server = serverOn(cluster.data)
  const timer = setInterval(() => {
    if (starting) return
    server = (server && serverAt(server.pid, cluster.data)) ?? serverOn(cluster.data)
    if (server) return
    console.error('PostgreSQL was gone; it is being started again.')
    // Its orphans hold the data for a moment longer: what fails now is tried again at the next look.
    starting = launch(cluster, port, durable)
      .catch(() => {})
      .finally(() => {
        starting = undefined
      })
  }, LOOK_MS)
  timer.unref()
  return async () => {
    clearInterval(timer)
    await starting
  }
}
