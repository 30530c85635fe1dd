import { expect, test } from 'vitest'
import { braidOutfit } from '../../../tests/fixtures/outfits.ts'
import { rigOf } from '../../../tests/fixtures/setups.ts'
import { OUTFIT } from '../documents/vocabulary.ts'
import { drawInWords } from '../edit/inWords.ts'
import { emptyTrace } from '../families/emptyTrace.ts'
import { toolsFor } from './tools.ts'

test.each([
  ['leader 40 lb 1 m, J 2/0', []],
  ['leader 100 lb 1 m double-sleeve crimp, J 8/0 double-sleeve crimp', ['crimpingPliers']],
  ['leader 40 lb 1 m, swivel, wire 30 cm, J 4/0', ['wireCutters']],
  ['leader 40 lb 1 m, split ring, J 4/0', ['splitRingPliers']],
  ['leader 40 lb 1 m, J 4/0, whole fish bridled', ['baitNeedle']],
])('%s takes %j beside a cutter and a tape', (text, more) => {
  const drawn = drawInWords(rigOf(emptyTrace('tools'), braidOutfit(50)), { at: 'end', of: OUTFIT }, text)
  if (!drawn.ok) throw new Error(drawn.why)
  expect(toolsFor(drawn.trace)).toEqual(['cutter', 'tape', ...more])
})
