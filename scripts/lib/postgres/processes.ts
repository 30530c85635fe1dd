import { mkdirSync, readdirSync, readFileSync, readlinkSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const reading = <T>(read: () => T): T | undefined => {
  try {
    return read()
  } catch {
    return undefined
  }
}

/** When a process began, in the kernel’s ticks: with its number it names one process, which a number used again does not. */
function beganAt(pid: number): string | undefined {
  const stat = reading(() => readFileSync(`/proc/${pid}/stat`, 'utf8'))
  // The second field is the program’s name, which may hold blanks; 20 fields after its bracket comes the start.
  return stat?.slice(stat.lastIndexOf(')') + 2).split(' ')[19]
}

export type Server = { pid: number; port: number }

/**
 * The PostgreSQL server that runs on a data folder, found among the processes themselves: a pid file may be stale, torn, or name a
 * program that has nothing to do with it.
 */
export function serverOn(data: string): Server | undefined {
  for (const name of readdirSync('/proc')) {
    const found = /^\d+$/.test(name) ? serverAt(Number(name), data) : undefined
    if (found) return found
  }
  return undefined
}

/** A process as the server of a data folder, where that is what it is. */
export function serverAt(pid: number, data: string): Server | undefined {
  if (reading(() => readlinkSync(`/proc/${pid}/cwd`)) !== data) return undefined
  // Its backends have a title in place of their arguments.
  const args = reading(() => readFileSync(`/proc/${pid}/cmdline`, 'utf8'))?.split('\0') ?? []
  const port = args.map((arg) => /^port=(\d+)$/.exec(arg)?.[1]).find((found) => found !== undefined)
  return args.includes('-D') && port !== undefined ? { pid, port: Number(port) } : undefined
}

let entered = 0

/** The runs that use a database folder, each as a file that names its process; whoever leaves last stops the server. */
export class Users {
  private readonly folder: string
  private readonly own = `${process.pid}-${entered++}`

  constructor(folder: string) {
    this.folder = join(folder, 'users')
    mkdirSync(this.folder, { recursive: true })
  }

  enter(): void {
    writeFileSync(join(this.folder, this.own), beganAt(process.pid) ?? '')
  }

  /** @returns whether no other run is left. */
  leave(): boolean {
    rmSync(join(this.folder, this.own), { force: true })
    return this.others().length === 0
  }

  /** The numbers of the other runs that are alive; what the dead left behind is cleared away. */
  others(): number[] {
    return readdirSync(this.folder)
      .filter((name) => name !== this.own)
      .flatMap((name) => {
        const pid = Number.parseInt(name, 10)
        const began = beganAt(pid)
        const file = join(this.folder, name)
        if (began !== undefined && began === reading(() => readFileSync(file, 'utf8'))) return [pid]
        rmSync(file, { force: true })
        return []
      })
  }
}
