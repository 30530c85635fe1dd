import { beforeEach, expect, test, vi } from 'vitest'

const read = async () => {
  vi.resetModules()
  return (await import('./browserFormats.ts')).BROWSER_FORMATS
}
const KEY = 'wide-reach.browser-formats'

beforeEach(() => localStorage.clear())

test('what a language writes is kept for the next start, and read anew for another language', async () => {
  const formats = await read()
  expect(formats).toEqual({ decimalSign: '.', clock: '12', dayOrder: 'month' })
  const { language, ...rest } = JSON.parse(localStorage.getItem(KEY)!)
  expect(rest).toEqual({ formats })
  const others = { decimalSign: ',', clock: '24', dayOrder: 'day' }
  localStorage.setItem(KEY, JSON.stringify({ language, formats: others }))
  expect(await read()).toEqual(others)
  localStorage.setItem(KEY, JSON.stringify({ language: `${language}-x`, formats: others }))
  expect(await read()).toEqual(formats)
  expect(JSON.parse(localStorage.getItem(KEY)!)).toEqual({ language, formats })
})

test.each(['null', '{', '{"language":"en-US","formats":{"decimalSign":"x"}}'])('%s in its place is read over', async (text) => {
  localStorage.setItem(KEY, text)
  expect(await read()).toEqual({ decimalSign: '.', clock: '12', dayOrder: 'month' })
})
