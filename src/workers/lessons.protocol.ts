import type { Catalogue } from '../core/catalogue/catalogue.ts'
import type { Pull } from '../core/documents/observation.ts'
import type { FieldEfficiency } from '../core/lessons/fieldEfficiency.ts'
import type { Lessons } from '../core/lessons/lessons.ts'
import type { Priors } from '../core/lessons/priors.ts'
import type { Statement } from '../core/lessons/statements.ts'
import type { Sums } from '../core/lessons/sums.ts'
import type { TripRates, WeakLinkPrices } from '../core/lessons/weakLinkPrice.ts'
import type { Change } from '../core/lessons/whatChanged.ts'
import type { Setup } from '../core/setup/setup.ts'

/** What is asked of the sums of trips. */
export type LessonsRequest =
  | { kind: 'lessons'; sums: Sums; priors: Priors }
  | { kind: 'changes'; before: Sums; after: Sums; priors: Priors }
  | { kind: 'knots'; chains: Sums['chains']; catalogue: Catalogue; pulls: readonly Pull[] }
  | { kind: 'weakLink'; setup: Setup; labelsN: readonly number[]; rates: TripRates }

export type LessonsAnswers = {
  lessons: Lessons & { statements: Statement[] }
  changes: { changes: Change[] }
  knots: { efficiencies: FieldEfficiency[] }
  weakLink: { prices: WeakLinkPrices | undefined }
}
