import type { MomentResult } from '../../core/moments/moment.ts'
import type { AnyResult, MomentName, ResultNamed } from '../../core/moments/moments.ts'
import type { Setup } from '../../core/setup/setup.ts'
import { CAST_VIEW } from './castView.tsx'
import { HAND_VIEW } from './handView.tsx'
import type { MomentView } from './momentView.ts'
import { RUN_VIEW } from './runView.tsx'
import { SETTLE_VIEW } from './settleView.tsx'
import { SNAG_VIEW } from './snagView.tsx'
import { TAKE_VIEW } from './takeView.tsx'

/** How each moment is shown. A new one is a file of its own and a line here. */
const MOMENT_VIEWS: { [Name in MomentName]: MomentView<ResultNamed<Name>> } = {
  cast: CAST_VIEW,
  settle: SETTLE_VIEW,
  take: TAKE_VIEW,
  run: RUN_VIEW,
  snag: SNAG_VIEW,
  hand: HAND_VIEW,
}

/** A moment’s view for any of its results: the table pairs them, which the type of one lookup cannot say. */
export const viewOf = (result: AnyResult) => MOMENT_VIEWS[result.moment] as unknown as MomentView<MomentResult>

export const absentWords = (name: MomentName, setup: Setup): string => MOMENT_VIEWS[name].absent(setup)
