import type { Lever } from '../../core/analysis/levers.ts'
import { pieceNamed } from '../../core/documents/pieces.ts'
import { pieceName } from '../../core/setup/names.ts'
import type { Rig } from '../../core/setup/setup.ts'
import type { Show } from '../settings/show.ts'
import { linkName } from './names.ts'

/** What an input of the conditions is called where it is asked about. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  dragN: 'drag setting',
  lineOutM: 'line out',
  fishSpeedMperS: 'fish speed',
  fishMassKg: 'fish landed',
  freeboardM: 'freeboard',
  dropM: 'drop of the cast',
  startFactor: 'start factor',
  guideFriction: 'guide friction',
  guideWrapRad: 'guide wrap',
  allowedFraction: 'allowed fraction',
  lineSpread: 'spread of labels',
  pulledSpread: 'spread of measured lines',
  depthM: 'depth',
  streamMperS: 'current',
  distanceM: 'distance',
  scope: 'line out over the straight distance',
  driftMperS: 'drift',
  speedMperS: 'boat speed',
  windMperS: 'wind',
  slack: 'slack of the line to the ring',
}

export function leverWords({ what }: Pick<Lever, 'what'>, rig: Rig): string {
  const nameOf = (id: string) => pieceName(pieceNamed(rig.trace, id))
  switch (what.of) {
    case 'mainLine':
      return 'main line strength'
    case 'strength':
      return `${nameOf(what.piece)}’s strength`
    case 'mass':
      return `${nameOf(what.piece)}’s weight`
    case 'joint':
      return linkName(rig, what.ref)
    default:
      return FIELD_WORDS[what.field] ?? what.field
  }
}

export const leverValueWords = ({ quantity, value }: Pick<Lever, 'quantity' | 'value'>, show: Show): string =>
  quantity === 'ratio' ? show.number(value, 2) : show.computed(quantity, value)
