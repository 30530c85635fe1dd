import { spawn } from 'node:child_process'
import { once } from 'node:events'
import type { Readable, Writable } from 'node:stream'
import { browserPath, CHROMIUM_ARGS } from '../scripts/lib/browser.ts'

type Message = { id?: number; result?: Record<string, unknown>; error?: { message: string } }

export type BareBrowser = {
  /** Sends a command of the browser’s own protocol; to its page unless it is one of the whole browser. */
  send: (method: string, params?: object) => Promise<Record<string, unknown>>
  /** What the page wrote into its title after this word, once it is there. */
  titleAfter: (word: string, patienceMs: number) => Promise<string>
  close: () => Promise<void>
}

/**
 * A browser with one page, controlled over a pipe. Playwright also enables the browser’s runtime events. Each error object of a script
 * then makes the browser parse that script again: a tenth of a start, which users do not have.
 */
export async function bareBrowser(profile: string): Promise<BareBrowser> {
  const child = spawn(browserPath(), [...CHROMIUM_ARGS, '--headless', `--user-data-dir=${profile}`, '--remote-debugging-pipe'], {
    stdio: ['ignore', 'ignore', 'ignore', 'pipe', 'pipe'],
  })
  const gone = once(child, 'exit')
  const [commands, answers] = [child.stdio[3] as Writable, child.stdio[4] as Readable]
  const waiting = new Map<number, (message: Message) => void>()
  let rest = ''
  answers.setEncoding('utf8').on('data', (chunk: string) => {
    const parts = (rest + chunk).split('\0')
    rest = parts.pop()!
    for (const part of parts) {
      const message = JSON.parse(part) as Message
      if (message.id !== undefined) waiting.get(message.id)?.(message)
    }
  })
  let sent = 0
  const ask = (method: string, params: object, sessionId?: string) =>
    new Promise<Record<string, unknown>>((resolve, reject) => {
      sent += 1
      waiting.set(sent, ({ result, error }) => (error ? reject(new Error(`${method}: ${error.message}`)) : resolve(result ?? {})))
      commands.write(`${JSON.stringify({ id: sent, method, params, ...(sessionId && { sessionId }) })}\0`)
    })
  const { targetId } = (await ask('Target.createTarget', { url: 'about:blank' })) as { targetId: string }
  const { sessionId } = (await ask('Target.attachToTarget', { targetId, flatten: true })) as { sessionId: string }
  return {
    send: (method, params = {}) => ask(method, params, sessionId),
    titleAfter: async (word, patienceMs) => {
      const untilMs = performance.now() + patienceMs
      while (performance.now() < untilMs) {
        const { targetInfo } = (await ask('Target.getTargetInfo', { targetId })) as { targetInfo: { title: string } }
        if (targetInfo.title.startsWith(word)) return targetInfo.title.slice(word.length)
        await new Promise((done) => setTimeout(done, 100))
      }
      throw new Error(`The page did not show “${word}” within ${patienceMs / 1_000} s`)
    },
    close: async () => {
      void ask('Browser.close', {})
      await gone
    },
  }
}
