import { afterEach, expect, test, vi } from 'vitest'
import { ruleSet } from '../../../tests/fixtures/judgedDrafts.ts'
import { documentQuery, listQuery, saveDocument } from './documents.ts'

const id = '6d1f9a52-3b0e-4c67-9f52-0a6f4e1c7b10'
const content = (name: string) => ({ ...ruleSet, name })
const row = (revision: number, name: string) => ({
  id,
  revision,
  savedAt: '2026-11-23T10:00:00.000Z',
  binnedAt: null,
  content: content(name),
})
const respond = (status: number, body: unknown) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(JSON.stringify(body), { status })),
  )
const save = () => saveDocument('rule-sets', id, 3, content('mine'))

afterEach(() => vi.unstubAllGlobals())

test('a save says which revision it was made from, and comes back as what is saved', async () => {
  respond(200, row(4, 'mine'))
  expect(await save()).toEqual({ saved: row(4, 'mine') })
  expect(fetch).toHaveBeenCalledWith(
    `/api/rule-sets/${id}`,
    expect.objectContaining({ method: 'PUT', body: JSON.stringify({ baseRevision: 3, content: content('mine') }) }),
  )
})

test('a stale save is a result with what is current', async () => {
  respond(409, { error: { code: 'stale', message: 'later' }, current: row(5, 'theirs') })
  expect(await save()).toEqual({ stale: row(5, 'theirs') })
})

test('any other refusal, and a stale one without what is current, is an error', async () => {
  respond(409, { error: { code: 'stale', message: 'later' } })
  await expect(save()).rejects.toMatchObject({ code: 'stale' })
  respond(400, { error: { code: 'invalid', message: 'bad' } })
  await expect(save()).rejects.toMatchObject({ code: 'invalid', status: 400 })
})

const call = (query: object) =>
  (query as { queryFn: (context: object) => Promise<unknown> }).queryFn({ signal: new AbortController().signal })

test('one document of a newer version is set apart with its name; the rest of the list is there', async () => {
  const newer = { ...row(2, 'from tomorrow'), content: { ...content('from tomorrow'), formatVersion: 99 } }
  respond(200, { documents: [row(1, 'fine'), newer], next: null })
  expect(await call(listQuery('rule-sets'))).toMatchObject({
    documents: [{ content: { name: 'fine' } }],
    unreadable: [{ name: 'from tomorrow', message: expect.stringMatching(/newer/) }],
  })
  respond(200, newer)
  await expect(call(documentQuery('rule-sets', id))).rejects.toMatchObject({ code: 'unreadable' })
})

test('a list is asked for page after page, until there is no next', async () => {
  const key = '12'
  const pages = [
    { documents: [row(1, 'first')], next: key },
    { documents: [row(1, 'second')], next: null },
  ]
  const asked: string[] = []
  vi.stubGlobal('fetch', async (address: string) => {
    asked.push(address)
    return new Response(JSON.stringify(pages[asked.length - 1]))
  })
  expect(await call(listQuery('rule-sets'))).toMatchObject({
    documents: [{ content: { name: 'first' } }, { content: { name: 'second' } }],
  })
  expect(asked).toEqual(['/api/rule-sets?', `/api/rule-sets?after=${key}`])
})
