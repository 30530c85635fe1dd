import { fieldEfficiencies } from '../core/lessons/fieldEfficiency.ts'
import { lessonsOf } from '../core/lessons/lessons.ts'
import { statementsOf } from '../core/lessons/statements.ts'
import { weakLinkPrices } from '../core/lessons/weakLinkPrice.ts'
import { whatChanged } from '../core/lessons/whatChanged.ts'
import { answer } from './answer.ts'
import type { LessonsAnswers, LessonsRequest } from './lessons.protocol.ts'

answer<LessonsRequest, LessonsAnswers[LessonsRequest['kind']]>((request, onProgress) => {
  switch (request.kind) {
    case 'lessons': {
      const lessons = lessonsOf(request.sums, request.priors)
      return { ...lessons, statements: statementsOf(lessons) }
    }
    case 'changes':
      return { changes: whatChanged(lessonsOf(request.before, request.priors), lessonsOf(request.after, request.priors)) }
    case 'knots':
      return { efficiencies: fieldEfficiencies(request, request.catalogue, request.pulls, onProgress) }
    case 'weakLink':
      return { prices: weakLinkPrices(request.setup, request.labelsN, request.rates) }
  }
})
