import { pullsToSettle, type Settled, type ToSettle } from '../core/learning/pullsToSettle.ts'
import { answer } from './answer.ts'

answer<ToSettle, Settled>(pullsToSettle)
