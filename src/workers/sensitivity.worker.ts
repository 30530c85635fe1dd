import { CoreError } from '../core/errors.ts'
import { sensitivityOf } from '../core/moments/sensitivity.ts'
import type { SensitivityReply, SensitivityRequest } from './sensitivity.protocol.ts'

const reply = (message: SensitivityReply) => postMessage(message)

addEventListener('message', ({ data: { fished, moment } }: MessageEvent<SensitivityRequest>) => {
  try {
    reply({ kind: 'done', results: fished.map((each) => sensitivityOf(each, moment)) })
  } catch (error) {
    reply({ kind: 'failed', code: error instanceof CoreError ? error.code : 'failed', message: (error as Error).message })
  }
})
