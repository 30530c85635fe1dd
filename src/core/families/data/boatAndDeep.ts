import { OUTFIT } from '../../documents/vocabulary.ts'
import type { Family } from '../family.ts'
import { baited, count, lead, length, line, mass, onLine, part, slides, tied } from '../rows.ts'

const GROUP = 'boat and deep water'

export const BOAT_AND_DEEP: readonly Family[] = [
  {
    id: 'windOn',
    group: GROUP,
    about: 'The doubled line joins a long wind-on leader that passes the guides. A crimped bite trace ends it.',
    casts: ['none'],
    leaderOverMain: 1.6,
    fishKg: 15,
    parameters: [
      length('doubleM', 'double', 1.5, 0.3, 6),
      length('windOnM', 'wind-on', 8, 3, 60),
      length('biteM', 'bite trace', 2, 0.3, 8),
    ],
    hook: { size: '10/0', pattern: 'circle' },
    bait: 'wholePouting',
    rows: [
      line('double', 'double', 'outfit', { main: 1 }, 'doubleM', tied(OUTFIT, 'bimini')),
      part('leader-loop', 'loop', tied('double', 'catsPaw')),
      line('leader', 'leader', 'mono', 1, 'windOnM', tied('leader-loop', 'crimpLoop')),
      part('swivel', 'ballBearingSwivel', tied('leader', 'crimpLoop')),
      line('bite-trace', 'biteTrace', 'mono', 1.2, 'biteM', tied('swivel', 'crimpLoop')),
      baited('hook', tied('bite-trace', 'crimpLoop')),
    ],
  },
  {
    id: 'deepDrop',
    group: GROUP,
    about:
      'A hold-down sinker on a lighter drop, lights far above the bait on bands that break, and a weight that falls off at the bottom.',
    casts: ['none'],
    leaderOverMain: 1.5,
    fishKg: 20,
    parameters: [
      mass('sinkerKg', 'hold-down sinker', 0.9, 0.2, 5),
      mass('releaseKg', 'release weight', 1.36, 0.1, 5),
      length('windOnM', 'wind-on', 25, 15, 60),
      length('dropM', 'hold-down drop', 1.5, 0.5, 2),
      length('baitLeaderM', 'bait leader', 2, 0.5, 8),
      count('lights', 'lights', 1, 1, 3),
    ],
    hook: { size: '12/0', pattern: 'circle' },
    bait: 'wholePouting',
    rows: [
      line('wind-on', 'leader', 'mono', 1, 'windOnM', tied(OUTFIT)),
      part('high-loop', 'loop', onLine('wind-on', { of: 'windOnM', times: 0.2 }, 'dropperLoop')),
      part('drop-loop', 'loop', tied('high-loop', 'girthHitch')),
      line('hold-down', 'sinkerLink', 'mono', 'weakLink', 'dropM', tied('drop-loop', 'surgeonsLoop')),
      lead('ball', tied('hold-down', 'surgeonsLoop'), 'sinkerKg', 'hold-down-sinker'),
      {
        each: 'lights',
        firstM: { of: 'windOnM', plus: -12 },
        spacingM: 4,
        rows: [
          part('band-#', 'breakBand', onLine('wind-on', { slot: 0 })),
          { id: 'light-#', light: 0.08, hangs: tied('band-#') },
        ],
      },
      part('swivel', 'ballBearingSwivel', tied('wind-on', 'crimpLoop')),
      line('bait-leader', 'snood', 'mono', 1, 'baitLeaderM', tied('swivel', 'crimpLoop')),
      baited('hook', tied('bait-leader', 'crimpLoop')),
      lead('bomb', tied('hook'), 'releaseKg', 'release-weight'),
    ],
    weakLink: 'hold-down',
  },
  {
    id: 'kiteBait',
    group: GROUP,
    about:
      'The line runs through a clip ring in the air. A small sinker holds the bait down against the wind, and a marker shows it.',
    casts: ['none'],
    moves: 'kite',
    leaderOverMain: 1,
    fishKg: 8,
    parameters: [
      mass('sinkerKg', 'lead', 0.03, 0.005, 0.2),
      mass('markerKg', 'marker float', 0.01, 0.002, 0.1),
      length('ringM', 'clip ring above the swivel', 6, 2, 150),
      length('leaderM', 'leader', 3, 0.5, 10),
    ],
    hook: { size: '6/0', pattern: 'circle' },
    bait: 'wholePouting',
    rows: [
      part('clip-ring', 'clipRing', slides(OUTFIT, 'ringM', 'swivel')),
      { id: 'marker', float: 'markerKg', hangs: slides(OUTFIT, { of: 'ringM', times: 0.5 }, 'swivel') },
      lead('barrel', slides(OUTFIT, 0.5, 'swivel')),
      part('bead', 'bead', slides(OUTFIT, 0.1, 'swivel')),
      part('swivel', 'ballBearingSwivel', tied(OUTFIT, 'palomar')),
      line('leader', 'leader', 'fluoro', 1, 'leaderM', tied('swivel')),
      baited('hook', tied('leader')),
    ],
  },
]
