import { QUANTITIES } from '../../core/units/quantities.ts'
import type { LineScale } from './lineScale.ts'

/** As much of a browser’s serial port as a scale needs. */
export type SerialPort = {
  open: (options: { baudRate: number }) => Promise<void>
  close: () => Promise<void>
  readable: ReadableStream<Uint8Array> | null
}
type Serial = { requestPort: () => Promise<SerialPort> }

/** As most such scales are set. */
const BAUD_RATE = 9_600
/** Longer than this a line of a scale is not. */
const MAX_LINE = 200

/** The serial ports of this browser, where it has any. */
export const serialOf = (): Serial | undefined => (navigator as { serial?: Serial }).serial

/** A load as a scale writes it on a line (`ST,GS,+ 12.34kg`), N; undefined where the line is none. */
export function loadOf(line: string): number | undefined {
  const [, sign, digits, unit] = /([+-])?\s*(\d+(?:\.\d+)?)\s*(kg|lb|N)\b/.exec(line) ?? []
  const factor = unit && (QUANTITIES.strength.units as Readonly<Record<string, number>>)[unit]
  if (digits === undefined || !factor) return undefined
  return sign === '-' ? 0 : Number(digits) * factor
}

/**
 * A scale on a serial cable that writes a line a reading.
 * @param port as the browser’s Web Serial interface gives it once someone has chosen it.
 * @param now time, ms.
 */
export function serialScale(port: SerialPort, now: () => number = () => performance.now()): LineScale {
  return {
    name: 'connected scale',
    pull: async (_sample, onReading, signal) => {
      await port.open({ baudRate: BAUD_RATE })
      const reader = port.readable?.getReader()
      const stop = () => void reader?.cancel()
      signal.addEventListener('abort', stop)
      try {
        if (!reader) throw new Error('The scale cannot be read.')
        const [decoder, begun] = [new TextDecoder(), now()]
        let rest = ''
        while (true) {
          const { value, done } = await reader.read()
          if (done) break
          const lines = (rest + decoder.decode(value, { stream: true })).split(/\r?\n/)
          rest = (lines.pop() ?? '').slice(-MAX_LINE)
          for (const line of lines) {
            const loadN = loadOf(line)
            if (loadN !== undefined) onReading({ atMs: now() - begun, loadN })
          }
        }
        signal.throwIfAborted()
        throw new Error('The scale was unplugged.')
      } finally {
        signal.removeEventListener('abort', stop)
        reader?.releaseLock()
        await port.close()
      }
    },
  }
}
