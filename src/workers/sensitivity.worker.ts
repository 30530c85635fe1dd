import { sensitivityOf } from '../core/moments/sensitivity.ts'
import { answer } from './answer.ts'
import type { SensitivityRequest, SensitivityResult } from './sensitivity.protocol.ts'

answer<SensitivityRequest, SensitivityResult>(({ fished, moment }) => fished.map((each) => sensitivityOf(each, moment)))
