import { expect, test } from 'vitest'
import { GLOSSARY, glossed, TERM_IDS } from './glossary.ts'

test('every term has its words, each once, in at most two sentences of at most 20 words', () => {
  expect(GLOSSARY.map(({ id }) => id)).toEqual([...TERM_IDS])
  const names = GLOSSARY.flatMap(({ name, also = [] }) => [name, ...also])
  expect(new Set(names).size).toBe(names.length)
  for (const { means } of GLOSSARY) {
    const sentences = means.split(/(?<=\.) /)
    expect(sentences.length).toBeLessThanOrEqual(2)
    for (const sentence of sentences) expect(sentence.split(' ').length, sentence).toBeLessThanOrEqual(20)
  }
})

test('words of the glossary are found where they stand, the first time only, and the text stays whole', () => {
  const text = 'Springs need 195 g, neaps 65 g. The snood beside another snood: a reserve of 1.5, not preserved.'
  const pieces = glossed(text)
  expect(pieces.map((piece) => (typeof piece === 'string' ? piece : piece.word)).join('')).toBe(text)
  expect(pieces.flatMap((piece) => (typeof piece === 'string' ? [] : [`${piece.word}: ${piece.term.id}`]))).toEqual([
    'Springs: springs',
    'snood: snood',
    'reserve: reserve',
  ])
})
