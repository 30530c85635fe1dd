import { describe, expect, test } from 'vitest'
import type { Reading } from '../../core/learning/pullCurve.ts'
import { QUANTITIES } from '../../core/units/quantities.ts'
import { loadOf, type SerialPort, serialScale } from './serialScale.ts'

const KG = QUANTITIES.strength.units.kg

/** A port that gives these bytes in these pieces, and then is unplugged or stays open. */
function fakePort(pieces: readonly string[], after: 'unplugged' | 'open') {
  const calls: string[] = []
  const port: SerialPort = {
    open: async ({ baudRate }) => void calls.push(`open ${baudRate}`),
    close: async () => void calls.push('close'),
    readable: new ReadableStream({
      start(controller) {
        for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece))
        if (after === 'unplugged') controller.close()
      },
    }),
  }
  return { port, calls }
}

describe('a scale on a cable', () => {
  test.each([
    ['ST,GS,+ 12.34kg', 12.34 * KG],
    ['  3.0 N', 3],
    ['-0.02 kg', 0],
    ['25.5 lb', 25.5 * QUANTITIES.strength.units.lb],
    ['hello', undefined],
    ['12.34', undefined],
    ['', undefined],
  ])('“%s” is %s', (line, loadN) => {
    if (loadN === undefined) expect(loadOf(line)).toBeUndefined()
    else expect(loadOf(line)).toBeCloseTo(loadN, 9)
  })

  test('lines cut anywhere are read whole, and an unplugged scale is said to be', async () => {
    const { port, calls } = fakePort(['1.0 k', 'g\r\n2.0 kg\r', '\nrubbish\r\n3.', '0 kg\r\n4.0'], 'unplugged')
    const read: Reading[] = []
    let time = 0
    const pulled = serialScale(port, () => (time += 50)).pull(
      { aboutN: 1, kind: '' },
      (reading) => read.push(reading),
      new AbortController().signal,
    )
    await expect(pulled).rejects.toThrow('unplugged')
    expect(read.map(({ loadN }) => loadN / KG)).toEqual([1, 2, 3].map((kg) => expect.closeTo(kg, 9)))
    expect(read.map(({ atMs }) => atMs)).toEqual([50, 100, 150])
    expect(calls).toEqual(['open 9600', 'close'])
  })

  test('stopped, it lets go of the port', async () => {
    const { port, calls } = fakePort(['1.0 kg\n'], 'open')
    const stop = new AbortController()
    const pulled = serialScale(port).pull({ aboutN: 1, kind: '' }, () => stop.abort(new Error('enough')), stop.signal)
    await expect(pulled).rejects.toThrow('enough')
    expect(calls).toEqual(['open 9600', 'close'])
  })
})
