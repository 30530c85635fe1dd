import { readingBody } from '../../shared/scale.ts'
import type { LineScale } from './lineScale.ts'

/** The simulated scale of the server, as server-sent events. */
export const standInScale: LineScale = {
  name: 'simulated scale',
  pull: ({ aboutN, kind }, onReading, signal) =>
    new Promise((resolve, reject) => {
      const source = new EventSource(`/api/scale/pull?${new URLSearchParams({ aboutN: String(aboutN), kind })}`)
      const end = (settle: () => void) => {
        source.close()
        settle()
      }
      source.addEventListener('message', ({ data }: MessageEvent<string>) => {
        const read = readingBody.safeParse(JSON.parse(data))
        if (read.success) onReading(read.data)
      })
      source.addEventListener('over', () => end(resolve))
      // A stream taken up again would be another pull.
      source.addEventListener('error', () => end(() => reject(new Error('The scale stopped sending.'))))
      signal.addEventListener('abort', () => end(() => reject(signal.reason)))
    }),
}
