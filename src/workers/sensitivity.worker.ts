import { sensitivityOf } from '../core/analysis/sensitivity.ts'
import { answer } from './answer.ts'
import type { SensitivityRequest, SensitivityResult } from './sensitivity.protocol.ts'

answer<SensitivityRequest, SensitivityResult>(({ setups, moment }) => setups.map((each) => sensitivityOf(each, moment)))
