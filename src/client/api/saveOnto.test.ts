import { afterEach, expect, test, vi } from 'vitest'
import { z } from 'zod'
import { saveOnto } from './saveOnto.ts'

const content = z.strictObject({ name: z.string() })
const document = (revision: number, name: string) => ({
  id: '6d1f9a52-3b0e-4c67-9f52-0a6f4e1c7b10',
  revision,
  savedAt: '2026-11-23T10:00:00.000Z',
  binnedAt: null,
  content: { name },
})
const respond = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(JSON.stringify(body), { status })),
  )
const save = () => saveOnto(content, '/things/1', 3, { name: 'mine' })

afterEach(() => vi.unstubAllGlobals())

test('a save says which revision it was made from, and comes back as what is saved', async () => {
  respond(200, document(4, 'mine'))
  expect(await save()).toEqual({ saved: document(4, 'mine') })
  expect(fetch).toHaveBeenCalledWith(
    '/api/things/1',
    expect.objectContaining({ method: 'PUT', body: '{"baseRevision":3,"content":{"name":"mine"}}' }),
  )
})

test('a stale save is a result with what is current', async () => {
  respond(409, { error: { code: 'stale', message: 'later' }, current: document(5, 'theirs') })
  expect(await save()).toEqual({ stale: document(5, 'theirs') })
})

test('any other refusal, and a stale one without what is current, is an error', async () => {
  respond(409, { error: { code: 'stale', message: 'later' } })
  await expect(save()).rejects.toMatchObject({ code: 'stale' })
  respond(400, { error: { code: 'invalid', message: 'bad' } })
  await expect(save()).rejects.toMatchObject({ code: 'invalid', status: 400 })
})
