import { spawnSync } from 'node:child_process'
import { Problem } from './problem.ts'

/** Installs a Debian package where the person may; otherwise says what to run. */
export function installDebianPackage(name: string, purpose: string): void {
  const prefix = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const byHand = `${purpose} needs Debian's ${name}. Run “sudo apt-get install --no-install-recommends ${name}”, then try again.`
  if (spawnSync('apt-get', ['--version']).status !== 0) throw new Problem(byHand)
  console.error(`Installing Debian's ${name} …`)
  const apt = (...args: string[]) => {
    const [command = '', ...rest] = [...prefix, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-qq', ...LOCK, ...args]
    const { status, stderr } = spawnSync(command, rest, { stdio: ['ignore', 'ignore', 'pipe'], encoding: 'utf8' })
    return { isDone: status === 0, isLocked: /\block\b/.test(stderr ?? '') }
  }
  for (let times = 0; times < TRIES; times += 1) {
    // A package list of some days ago can name files that are gone: a failed update is only fatal if the install fails too.
    const update = apt('update')
    const install = apt('install', '-y', '--no-install-recommends', name)
    if (install.isDone) return
    if (!update.isLocked && !install.isLocked) break
    Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, PAUSE_MS)
  }
  throw new Problem(byHand)
}

/** Someone else may be installing: the install waits so long for its turn, s; the package list has no such wait and is asked for again. */
const LOCK = ['-o', 'DPkg::Lock::Timeout=120']
const TRIES = 20
const PAUSE_MS = 3_000
