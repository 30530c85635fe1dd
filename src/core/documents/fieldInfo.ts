import type { Quantity } from '../units/quantities.ts'
import type { Batch } from './batch.ts'
import type { Conditions } from './conditions.ts'
import type { Joint } from './fields.ts'
import type { Fish } from './fish.ts'
import type { Gear } from './gear.ts'
import type { Mark } from './mark.ts'
import type { Moving } from './moving.ts'
import type { Outfit, WoundLine } from './outfit.ts'
import type { RuleSet } from './ruleSet.ts'
import type { Tied } from './tied.ts'
import type { Piece, Trace } from './trace.ts'
import type { Trip } from './trip.ts'
import type { Water } from './water.ts'

type KeysOf<T> = T extends unknown ? keyof T & string : never
type Clip = NonNullable<Trace['releaseClips']>[number]

/** Fields that contain other fields or are never shown. */
type Structure = 'id' | 'formatVersion' | 'releaseClips' | 'joint' | 'way' | 'kind'

/** Every field of a document that can be shown. */
export type FieldName =
  | Exclude<
      KeysOf<
        | Piece
        | Joint
        | Clip
        | Trace
        | Conditions
        | Water
        | Moving
        | Fish
        | Gear
        | Batch
        | Tied
        | Trip
        | Mark
        | RuleSet
        | Outfit
        | Outfit['rod']
        | Outfit['reel']
        | WoundLine
      >,
      Structure
    >
  | 'outfitId'
  | 'markId'
  | 'fishId'

/** How a value is written: in the units of a quantity, or as one of these. */
export type FieldUnit = Quantity | 'share' | 'degrees' | 'radians' | 'seconds' | 'squareMetres' | 'perMetre' | 'number' | 'words'

/** `label` is empty if the value needs none: a strength, a weight. */
export type FieldInfo = { label: string; unit: FieldUnit; absent?: string }

const is = (label: string, unit: FieldUnit = 'words', absent?: string): FieldInfo => ({
  label,
  unit,
  ...(absent === undefined ? {} : { absent }),
})

/** The label and unit of each field, and the text for an absent value (default: “as usual”). */
export const FIELD_INFO: Readonly<Record<FieldName, FieldInfo>> = {
  // of a piece
  label: is('label', 'words', 'none'),
  role: is('role'),
  attach: is(''),
  material: is('material'),
  strengthN: is('', 'strength'),
  diameterM: is('diameter', 'diameter'),
  lengthM: is('length', 'length'),
  condition: is('condition', 'share', 'as new'),
  pulled: is('strength measured', 'words', 'no'),
  strands: is('strands', 'number', '1'),
  twistPerM: is('twist', 'perMetre', 'none'),
  hollow: is('hollow', 'words', 'no'),
  pattern: is('pattern'),
  size: is('size'),
  gapeM: is('gap', 'diameter'),
  wireM: is('wire', 'diameter'),
  offset: is('point offset', 'words', 'no'),
  nailKg: is('nail weight', 'mass'),
  openedEye: is('eye opened'),
  weedGuard: is('weed guard'),
  wraps: is('wraps around the shank', 'number', 'none'),
  barbless: is('barbless', 'words', 'no'),
  headKg: is('head', 'mass', 'none'),
  headSwings: is('swings on its head', 'words', 'no'),
  shape: is('shape'),
  massKg: is('', 'mass'),
  metal: is('made of', 'words', 'lead'),
  number: is('catalogue number', 'words', 'none'),
  type: is('type'),
  spins: is('spins', 'words', 'no'),
  ratedDepthM: is('rated depth', 'depth'),
  ratedSpeedMperS: is('rated at', 'speed'),
  ratedLineOutM: is('rated with line out', 'length'),
  ratedLineDiameterM: is('rated on line of', 'diameter'),
  depthM: is('depth', 'length'),
  dragAreaM2: is('drag area', 'squareMetres'),
  floats: is('floats', 'words', 'no'),
  rigging: is('rigging'),
  tailM: is('last hook from the tail', 'length'),
  bait: is('bait'),
  trimmed: is('trimmed', 'words', 'no'),
  alive: is('alive', 'words', 'no'),
  // of the joint it hangs by
  connection: is('knot'),
  turns: is('turns', 'number'),
  loopM: is('loop', 'length'),
  boreM: is('sleeve bore', 'diameter'),
  own: is('my test', 'words', 'none'),
  // of a release clip
  from: is('opens from'),
  to: is('to'),
  // of the whole trace
  name: is('name'),
  family: is('family'),
  fishes: is('how the end fishes'),
  notes: is('notes', 'words', 'none'),
  tags: is('tags', 'words', 'none'),
  setAside: is('ignored findings', 'words', 'none'),
  pieces: is('order of the parts'),
  weakLink: is('weak link', 'words', 'none'),
  fuse: is('fuse', 'words', 'none'),
  outfitId: is('outfit'),
  markId: is('mark', 'words', 'none'),
  fishId: is('saved fish', 'words', 'none'),
  // of the conditions
  castStyle: is('cast'),
  dropM: is('drop', 'length'),
  launchDeg: is('launch angle', 'degrees'),
  lineOutM: is('line out', 'length'),
  fishSpeedMperS: is('speed of the fish', 'speed'),
  dragN: is('drag', 'strength'),
  dragAssumed: is('drag assumed', 'words', 'no'),
  dragMeasuredAt: is('drag measured at'),
  startFactor: is('start factor', 'number'),
  guideFriction: is('guide friction', 'number'),
  guideWrapRad: is('guide wrap', 'radians'),
  rodHeld: is('rod'),
  allowedFraction: is('allowed share of the strength', 'share'),
  target: is('fish', 'words', 'any fish'),
  clarity: is('water', 'words', 'unknown'),
  light: is('time of day', 'words', 'unknown'),
  fishMassKg: is('fish landed', 'fish'),
  fishAssumed: is('fish assumed', 'words', 'no'),
  mouthWidthM: is('mouth of the fish', 'diameter', 'unknown'),
  landing: is('landing'),
  freeboardM: is('freeboard', 'length'),
  wet: is('line wet'),
  lineSpread: is('spread of labels', 'share'),
  pulledSpread: is('spread of measured lines', 'share'),
  water: is('depth and current', 'words', 'unknown'),
  moving: is('how the line moves', 'words', 'with the current'),
  // of an outfit
  rod: is('rod'),
  reel: is('reel'),
  ratingLowN: is('line, from', 'strength'),
  ratingHighN: is('line, up to', 'strength'),
  castLowKg: is('casts, from', 'mass', 'not printed'),
  castHighKg: is('casts, up to', 'mass', 'not printed'),
  action: is('action', 'words', 'medium'),
  capacityLengthM: is('capacity', 'length'),
  capacityDiameterM: is('capacity in line of', 'diameter'),
  arborRadiusM: is('arbor radius', 'diameter', 'not measured'),
  fullRadiusM: is('full radius', 'diameter', 'not measured'),
  highestDragN: is('highest drag', 'strength'),
  gearRatio: is('gear ratio', 'number', 'unknown'),
  marking: is('marking', 'words', 'none'),
  wound: is('lines on the reel'),
  colourEveryM: is('changes colour every', 'length', 'never'),
  marksM: is('marks along the line', 'words', 'none'),
  woundOn: is('wound on', 'words', 'unknown'),
  doubled: is('doubled line at the join', 'words', 'none'),
  // of what is in the box
  packCost: is('cost of a pack', 'number', 'unknown'),
  keptIn: is('kept in', 'words', 'unknown'),
  boughtOn: is('bought', 'words', 'unknown'),
  minimumCount: is('keep at least', 'number', 'none'),
  minimumM: is('keep at least', 'length', 'none'),
  packCount: is('in a pack', 'number', '1'),
  // of a batch and of tied traces
  traceId: is('trace'),
  traceRevision: is('revision', 'number'),
  count: is('traces', 'number'),
  forDate: is('for', 'words', 'no day'),
  choices: is('gear chosen', 'words', 'nearest'),
  batchId: is('batch', 'words', 'none'),
  tiedOn: is('tied'),
  tiedBy: is('tied by', 'words', 'unknown'),
  state: is('state'),
  differs: is('differs', 'words', 'nothing'),
  substitutes: is('substitutes', 'words', 'none'),
  usedHard: is('used hard', 'words', 'no'),
  // of a trip
  date: is('day'),
  marks: is('marks'),
  people: is('people'),
  rods: is('rods'),
  baitMinutes: is('minutes a bait stays on', 'number', 'as usual'),
  packing: is('packing list'),
  gearIds: is('gear along', 'words', 'the whole box'),
  wind: is('expected wind', 'words', 'as forecast'),
  startedAt: is('started', 'words', 'not yet'),
  endedAt: is('ended', 'words', 'not yet'),
  // of a mark
  markKind: is('kind of mark', 'words', 'unknown'),
  latitudeDeg: is('latitude', 'degrees', 'unknown'),
  longitudeDeg: is('longitude', 'degrees', 'unknown'),
  timeZone: is('time zone'),
  wayBackM: is('way back closed from a tide of', 'depth', 'never'),
  portId: is('port', 'words', 'none'),
  highWaterAfterMin: is('high water after the port, minutes', 'number'),
  streamFrom: is('current from'),
  stream: is('current table'),
  heights: is('tide table', 'words', 'none'),
  // of a rule set
  checkedOn: is('last checked'),
  maxLeaderM: is('longest leader', 'length', 'no limit'),
  maxDoubleM: is('longest double', 'length', 'no limit'),
  maxCombinedM: is('leader and double together', 'length', 'no limit'),
  maxHooks: is('most hooks', 'number', 'no limit'),
  circleOnly: is('circle hooks only'),
  nonOffsetOnly: is('no offset hooks'),
  barblessOnly: is('barbless only'),
  trebleWithBait: is('treble with bait allowed'),
  wireAllowed: is('wire allowed'),
  lightsAllowed: is('lights allowed'),
  leastLengths: is('minimum sizes', 'words', 'none'),
  leastLeadKg: is('lightest lead sinker', 'mass', 'no limit'),
  // of a fish
  largeMassKg: is('weight of a large one', 'fish'),
  mouthWidthShare: is('mouth width', 'share'),
  mouthHeightShare: is('mouth height', 'share'),
  typicalMassKg: is('usual weight', 'fish'),
  typicalLengthM: is('usual length', 'length'),
  largeLengthM: is('length of a large one', 'length'),
  teeth: is('teeth'),
  feeds: is('feeds'),
  takes: is('takes a bait'),
  fights: is('fights', 'words', 'unknown'),
  shakesCircles: is('may throw circle hooks'),
  lineShy: is('shy of line'),
  released: is('usually released'),
  // of the water
  method: is('fished from'),
  streamMperS: is('current', 'speed'),
  neapMperS: is('current at neaps', 'speed', 'unknown'),
  bed: is('bottom'),
  scope: is('scope', 'number'),
  distanceM: is('distance', 'length'),
  driftMperS: is('drift with the current', 'speed'),
  driftAcrossMperS: is('drift across the current', 'speed'),
  weedFactor: is('weed', 'number'),
  // of a line that is towed, wound in or flown
  speedMperS: is('boat speed', 'speed'),
  swimsAt: is('swims at'),
  otherAt: is('second depth', 'words', 'none'),
  waterM: is('water depth', 'depth'),
  nearWaterM: is('water under the rod', 'length'),
  course: is('depths along the route', 'words', 'none'),
  beside: is('second line', 'words', 'none'),
  turnRadiusM: is('radius of a turn', 'length'),
  rodTip: is('rod tip'),
  pauseS: is('pause', 'seconds'),
  windMperS: is('wind', 'speed'),
  slack: is('slack', 'number'),
  ringFriction: is('friction at the ring', 'number'),
  kiteLineN: is('kite line', 'strength', 'unknown'),
  baits: is('baits under the kite'),
}
