import { spawnSync } from 'node:child_process'
import { ROOT } from '../../src/server/root.ts'

/** What the checkout holds beside what is committed and ignored, a line each; undefined where it is no checkout. */
export function changesOfCheckout(): Set<string> | undefined {
  const { status, stdout } = spawnSync('git', ['status', '--porcelain'], { cwd: ROOT, encoding: 'utf8' })
  return status === 0 ? new Set(stdout.split('\n').filter(Boolean)) : undefined
}
