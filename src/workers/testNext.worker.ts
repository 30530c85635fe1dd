import { testNext, type WorthTesting } from '../core/learning/testNext.ts'
import { readList } from '../shared/documentKinds.ts'
import { answer } from './answer.ts'
import type { TestNextRequest } from './runTestNext.ts'

answer<TestNextRequest, WorthTesting[]>(({ rows, outfits, catalogue, pulls }, onProgress) => {
  const setups = readList('traces', rows).documents.flatMap(({ content: { trace, conditions, outfitId } }) => {
    const outfit = outfits.get(outfitId)
    return outfit ? [{ trace, outfit, conditions, catalogue }] : []
  })
  return testNext({ setups, pulls }, onProgress)
})
