import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { CoreError } from '../core/errors.ts'
import { answer } from './answer.ts'
import { type JobReply, runJob } from './runJob.ts'

/** A worker's two ends in one place: what the page posts is heard by `answer`, what that posts by the page. */
class Pair extends EventTarget {
  terminated = false
  readonly inside = new EventTarget()
  postMessage(data: unknown) {
    queueMicrotask(() => this.inside.dispatchEvent(new MessageEvent('message', { data: structuredClone(data) })))
  }
  terminate() {
    this.terminated = true
  }
}
let pair: Pair

beforeEach(() => {
  pair = new Pair()
  vi.stubGlobal('addEventListener', pair.inside.addEventListener.bind(pair.inside))
  vi.stubGlobal('postMessage', (data: JobReply<unknown>) =>
    pair.dispatchEvent(new MessageEvent('message', { data: structuredClone(data) })),
  )
})
afterEach(() => vi.unstubAllGlobals())

const ask = <R>(request: unknown, signal = new AbortController().signal, onProgress?: (share: number) => void) =>
  runJob<unknown, R>(pair as unknown as Worker, request, signal, onProgress)

test('what a worker does comes back, with how far it was on the way, and the worker is ended', async () => {
  answer<number[], number>((numbers, onProgress) => {
    numbers.forEach((_, i) => {
      onProgress((i + 1) / numbers.length)
    })
    return numbers.reduce((sum, each) => sum + each, 0)
  })
  const shares: number[] = []
  expect(await ask<number>([1, 2, 3, 4], undefined, (share) => shares.push(share))).toBe(10)
  expect(shares).toEqual([0.25, 0.5, 0.75, 1])
  expect(pair.terminated).toBe(true)
})

test('what it throws comes back as data, and is thrown with its message', async () => {
  answer(() => {
    throw new CoreError('blown-out', 'The line is blown out', { value: 1 })
  })
  const replies: unknown[] = []
  pair.addEventListener('message', (event) => replies.push((event as MessageEvent).data))
  await expect(ask({})).rejects.toMatchObject({ code: 'blown-out', message: 'The line is blown out', details: { value: 1 } })
  expect(replies).toEqual([{ kind: 'failed', code: 'blown-out', message: 'The line is blown out', details: { value: 1 } }])
  expect(pair.terminated).toBe(true)
})

test('a job that is no longer wanted is ended, whatever it was doing', async () => {
  const controller = new AbortController()
  const asked = ask({}, controller.signal)
  controller.abort(new Error('not wanted'))
  await expect(asked).rejects.toThrow('not wanted')
  expect(pair.terminated).toBe(true)
})

test('a job that was no longer wanted before it began is not begun', async () => {
  const asked: unknown[] = []
  pair.inside.addEventListener('message', (event) => asked.push(event))
  await expect(ask({}, AbortSignal.abort(new Error('not wanted')))).rejects.toThrow('not wanted')
  expect([asked, pair.terminated]).toEqual([[], true])
})

test('a worker that breaks is a failure in words', async () => {
  const asked = ask({})
  pair.dispatchEvent(new Event('error'))
  await expect(asked).rejects.toThrow('The calculation stopped.')
})
