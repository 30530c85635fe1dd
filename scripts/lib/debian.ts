import { spawnSync } from 'node:child_process'
import { Problem } from './problem.ts'

/** Installs a Debian package where the person may; otherwise says what to run. */
export function installDebianPackage(name: string, purpose: string): void {
  const prefix = process.getuid?.() === 0 ? [] : ['sudo', '-n']
  const byHand = `${purpose} needs Debian's ${name}. Run “sudo apt-get install --no-install-recommends ${name}”, then try again.`
  if (spawnSync('apt-get', ['--version']).status !== 0) throw new Problem(byHand)
  console.error(`Installing Debian's ${name} …`)
  const apt = (...args: string[]) => {
    const [command = '', ...rest] = [...prefix, 'env', 'DEBIAN_FRONTEND=noninteractive', 'apt-get', '-qq', ...args]
    return spawnSync(command, rest, { stdio: ['ignore', 'ignore', 'pipe'] }).status === 0
  }
  // A package list of some days ago can name files that are gone: a failed update is only fatal if the install fails too.
  apt('update')
  if (!apt('install', '-y', '--no-install-recommends', name)) throw new Problem(byHand)
}
