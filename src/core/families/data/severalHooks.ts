import { OUTFIT } from '../../documents/vocabulary.ts'
import { TRAP_M } from '../../edit/newParts.ts'
import type { Family, Row } from '../family.ts'
import {
  baited,
  bareHook,
  CAST_LEADER,
  count,
  fluoroLeader,
  lead,
  length,
  line,
  onLine,
  part,
  sinkerOf,
  slides,
  tied,
} from '../rows.ts'

const GROUP = 'several hooks'

/** Crimp, bead, swivel, bead, crimp along the body, and the snood with its hook on the swivel. */
const TRAPPED_SNOOD: readonly Row[] = [
  part('crimp-#1', 'crimp', onLine('body', { slot: -TRAP_M })),
  part('bead-#1', 'bead', slides('body', { slot: -TRAP_M / 2 }, 'crimp-#2', 'crimp-#1')),
  part('boom-#', 'boom', slides('body', { slot: 0 }, 'crimp-#2', 'crimp-#1')),
  part('bead-#2', 'bead', slides('body', { slot: TRAP_M / 2 }, 'crimp-#2', 'crimp-#1')),
  part('crimp-#2', 'crimp', onLine('body', { slot: TRAP_M })),
  // With the boom under half the spacing, so that neighbours cannot meet.
  line('snood-#', 'snood', 'mono', 1, { of: 'spacingM', times: 0.5, plus: -0.07 }, tied('boom-#', 'doubleEyeClinch')),
  baited('hook-#', tied('snood-#')),
]

export const SEVERAL_HOOKS: readonly Family[] = [
  {
    id: 'boomPaternoster',
    group: GROUP,
    about: 'One to three hooks on booms above the sinker. For searching clean or mixed ground with several baits.',
    casts: ['overhead', 'lob', 'none'],
    leaderOverMain: 0.75,
    fishKg: 2,
    parameters: [sinkerOf(0.15), count('snoods', 'snoods', 2, 1, 8), length('spacingM', 'spacing', 0.6, 0.3, 1.5)],
    hook: { size: '1/0', pattern: 'circle' },
    bait: 'lugworm',
    rows: [
      CAST_LEADER,
      part('swivel', 'swivel', tied('leader')),
      line('body', 'body', 'mono', 1, { of: 'rowM', plus: 0.6 }, tied('swivel')),
      { each: 'snoods', firstM: 0.3, spacingM: 'spacingM', rows: TRAPPED_SNOOD },
      part('snap', 'snap', tied('body')),
      lead('bomb', tied('snap')),
    ],
  },
  {
    id: 'clippedDown',
    group: GROUP,
    about: 'A clip holds the bait during the cast and lets it fall free on landing. Less drag in the air, more range.',
    casts: ['overhead', 'offTheGround', 'lob'],
    leaderOverMain: 0.75,
    fishKg: 2,
    parameters: [sinkerOf(0.15), length('snoodM', 'snood', 1.2, 0.3, 2)],
    hook: { size: '2/0', pattern: 'j' },
    bait: 'lugworm',
    rows: [
      CAST_LEADER,
      part('swivel', 'swivel', tied('leader')),
      line('body', 'body', 'mono', 1, { of: 'snoodM', plus: 0.4 }, tied('swivel')),
      part('stop-upper', 'crimp', onLine('body', 0.2)),
      part('runner', 'swivel', slides('body', 0.21, 'stop-lower', 'stop-upper'), 0.6),
      part('stop-lower', 'crimp', onLine('body', 0.22)),
      line('snood', 'snood', 'mono', 0.6, 'snoodM', tied('runner')),
      baited('hook', tied('snood')),
      part('bait-clip', 'baitClip', onLine('body', { back: 0.05 })),
      part('snap', 'snap', tied('body')),
      lead('gripWire', tied('snap')),
    ],
  },
  {
    id: 'twinTag',
    group: GROUP,
    about: 'An end loop cut open, with a hook on each tag. Quick to tie when a shoal is near.',
    casts: ['lob', 'none'],
    leaderOverMain: 0.75,
    fishKg: 0.6,
    parameters: [
      length('leaderM', 'leader', 2, 0.5, 4),
      length('longTagM', 'longer tag', 0.45, 0.2, 0.8),
      length('shortTagM', 'shorter tag', 0.3, 0.1, 0.6),
    ],
    hook: { size: '2', pattern: 'j' },
    bait: 'lugworm',
    rows: [
      fluoroLeader('leaderM'),
      part('loop', 'loop', tied('leader', 'surgeonsLoop')),
      line('tag-a', 'snood', 'fluoro', 1, 'shortTagM', tied('loop', 'runsOn')),
      baited('hook-a', tied('tag-a', 'uni')),
      line('tag-b', 'snood', 'fluoro', 1, 'longTagM', tied('loop', 'runsOn')),
      baited('hook-b', tied('tag-b', 'uni')),
    ],
  },
  {
    id: 'hookString',
    group: GROUP,
    about: 'Three to six small dressed hooks on side loops above a sinker, worked up and down to catch bait.',
    casts: ['none', 'lob'],
    leaderOverMain: 0.75,
    fishKg: 0.3,
    parameters: [sinkerOf(0.06), count('hooks', 'hooks', 5, 3, 8), length('spacingM', 'spacing', 0.25, 0.15, 0.5)],
    hook: { size: '6', pattern: 'j' },
    rows: [
      line('body', 'body', 'mono', 1, { of: 'rowM', plus: 0.8 }, tied(OUTFIT)),
      {
        each: 'hooks',
        firstM: 0.4,
        spacingM: 'spacingM',
        rows: [part('loop-#', 'loop', onLine('body', { slot: 0 }, 'dropperLoop')), bareHook('hook-#', tied('loop-#'))],
      },
      lead('pear', tied('body', 'improvedClinch')),
    ],
  },
]
