import { type PullCount, pullsToSettle, type ToSettle } from '../core/learning/pullsToSettle.ts'
import { answer } from './answer.ts'

answer<ToSettle, PullCount>(pullsToSettle)
