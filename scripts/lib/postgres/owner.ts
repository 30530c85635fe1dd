import { execFileSync, spawn } from 'node:child_process'
import { createHash } from 'node:crypto'
import { chownSync, mkdirSync, statSync } from 'node:fs'
import { dirname, resolve } from 'node:path'

const asRoot = process.getuid?.() === 0

export type Ran = { ok: boolean; error: string }

/**
 * Runs a program as who owns the data: PostgreSQL refuses root, so as root it is user postgres. The program is in a group of its
 * own: what interrupts this process does not cut it short.
 */
export function runAsOwner(command: string, args: readonly string[]): Promise<Ran> {
  const [program = '', ...rest] = asRoot ? ['runuser', '-u', 'postgres', '--', command, ...args] : [command, ...args]
  // From / : user postgres may not be able to read the current folder. A server keeps inherited pipes open: only initdb, which ends, has one.
  const pipe = command.endsWith('initdb') ? 'pipe' : 'ignore'
  return new Promise((done) => {
    const child = spawn(program, rest, { cwd: '/', stdio: ['ignore', 'ignore', pipe], detached: true })
    let said = ''
    child.stderr?.on('data', (chunk) => {
      said += String(chunk)
    })
    child.once('error', ({ message }) => done({ ok: false, error: message }))
    child.once('close', (code) => done({ ok: code === 0, error: reasonIn(said) }))
  })
}

/** The line that says why; after it comes what was done about it. */
function reasonIn(said: string): string {
  const lines = said.trim().split('\n')
  return lines.find((line) => /error|fatal|panic|could not/i.test(line)) ?? lines.at(-1) ?? ''
}

/** The folder wanted, or, where user postgres cannot walk to it, a private one under /var/tmp; made where there is none. */
export async function reachableFolder(wanted: string): Promise<string> {
  const outer = dirname(resolve(wanted))
  mkdirSync(outer, { recursive: true })
  const reached = !asRoot || (await runAsOwner('test', ['-x', outer])).ok
  const folder = reached ? resolve(wanted) : privateFolder(wanted)
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  giveToOwner(folder)
  return folder
}

function privateFolder(wanted: string): string {
  return `/var/tmp/wide-reach-${createHash('sha256').update(resolve(wanted)).digest('hex').slice(0, 16)}`
}

export function giveToOwner(path: string): void {
  if (!asRoot) return
  const id = (flag: string) => Number(execFileSync('id', [flag, 'postgres'], { encoding: 'utf8' }))
  if (statSync(path).uid !== id('-u')) chownSync(path, id('-u'), id('-g'))
}
