import { NOMINAL_CATALOGUE } from '../../core/catalogue/catalogue.ts'
import type { FamilyId } from '../../core/catalogue/familyIds.ts'
import { type Conditions, defaultConditions } from '../../core/documents/conditions.ts'
import { markSchema } from '../../core/documents/mark.ts'
import type { Piece, Trace } from '../../core/documents/trace.ts'
import { defaultWater } from '../../core/documents/water.ts'
import { draft } from '../../core/families/draft.ts'
import { familyOf } from '../../core/families/families.ts'
import { type UserChoices, usualAmounts } from '../../core/families/family.ts'
import { springWater } from '../../core/setup/springWater.ts'
import { LB } from '../../core/units/quantities.ts'
import type { TraceContent } from '../../shared/traceContent.ts'
import { demoId } from './demoId.ts'
import { DEMO_MARKS } from './marks.ts'
import { DEMO_OUTFITS, type DemoOutfit } from './outfits.ts'

/** Kettle Narrows at anchor: 28 m, its stream by halfway to springs. */
const NARROWS = { ...defaultWater(NOMINAL_CATALOGUE, 'anchor'), depthM: 28, streamMperS: 0.6, bed: 'shingle' as const }
const AFLOAT: Partial<Conditions> = { castStyle: 'none', freeboardM: 1.2 }

type Patch = Partial<Record<string, Record<string, unknown>>>
type Recipe = {
  id: string
  /** The mark it is for, by name. */
  mark?: string
  outfit: DemoOutfit
  family: FamilyId
  wishes: UserChoices
  notes: string
  tags?: string[]
  conditions?: Partial<Conditions>
  /** Changes to single pieces: what the scenario's angler made of the draft. */
  patch?: Patch
  dragLb?: number
}

const tiedToOutfit = (connection: string) => ({ how: 'joined', to: 'outfit', joint: { connection } })

/** The scenario's traces, the newest last. Three carry troubles on purpose, and say so in their notes. */
const RECIPES: readonly Recipe[] = [
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d201',
    mark: 'Hesk Bar',
    outfit: 'oldBeach',
    family: 'runningLedger',
    wishes: { name: 'Hesk Bar turbot ledger', amounts: { sinkerKg: 0.12 }, hookSize: '1/0', bait: 'sandeel' },
    notes: 'On the reel that is half empty: look at what the drag does with line out.',
    conditions: { castStyle: 'lob', lineOutM: 90 },
    dragLb: 6,
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d202',
    mark: 'The Sill',
    outfit: 'deep',
    family: 'deepDrop',
    wishes: { name: 'The Sill ling rig', amounts: { sinkerKg: 0.9, releaseKg: 0.68 }, hookSize: '12/0', bait: 'wholePouting' },
    notes: 'Deep mud, 240 m. The hold-down is meant to break first; the weight on the hook falls off at the bottom.',
    tags: ['deep'],
    conditions: { ...AFLOAT, lineOutM: 260 },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d203',
    mark: 'Outer Bank',
    outfit: 'boat',
    family: 'runningLedger',
    wishes: { name: 'Outer Bank drift ledger', amounts: { sinkerKg: 0.23 }, hookSize: '2/0', bait: 'sandeel' },
    notes: 'Drifting for turbot over sand and shell.',
    conditions: {
      ...AFLOAT,
      lineOutM: 75,
      water: { ...defaultWater(NOMINAL_CATALOGUE, 'drift'), depthM: 55, streamMperS: 0.8, driftMperS: 0.6 },
    },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d204',
    mark: 'Kettle Narrows',
    outfit: 'boat',
    family: 'runningLedger',
    wishes: { name: 'Kettle Narrows tope ledger', amounts: { sinkerKg: 0.34 }, hookSize: '12/0', bait: 'wholePouting' },
    notes: 'The leader was stepped down for clear water and kept its old knots: lighter than its knots allow.',
    conditions: { ...AFLOAT, lineOutM: 60 },
    patch: {
      leader: { strengthN: 25 * LB, attach: tiedToOutfit('blood') },
      swivel: { attach: { how: 'joined', to: 'leader', joint: { connection: 'clinch', turns: 3 } } },
    },
    dragLb: 12,
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d205',
    mark: 'Kettle Narrows',
    outfit: 'boat',
    family: 'threeWay',
    wishes: { name: 'Kettle Narrows conger rig', amounts: { sinkerKg: 0.45 }, hookSize: '8/0', bait: 'cuttlefishStrip' },
    notes: 'Shingle and rough ground at anchor; the sinker line is meant to break first.',
    tags: ['rough'],
    conditions: { ...AFLOAT, lineOutM: 45, water: NARROWS },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d206',
    mark: 'Long Ledge',
    outfit: 'rocks',
    family: 'threeWay',
    wishes: { name: 'Long Ledge, stout sinker line', amounts: { sinkerKg: 0.12 }, hookSize: '4/0', bait: 'peelerCrab' },
    tags: ['rough'],
    notes: 'The sinker line was replaced by what was in the pocket: a weak link stronger than its trace.',
    conditions: { castStyle: 'overhead', lineOutM: 60, freeboardM: 3 },
    patch: { 'sinker-line': { strengthN: 60 * LB } },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d207',
    mark: 'Long Ledge',
    outfit: 'rocks',
    family: 'threeWay',
    wishes: { name: 'Long Ledge kelp rig', amounts: { sinkerKg: 0.12 }, hookSize: '4/0', bait: 'peelerCrab' },
    tags: ['rough'],
    notes: 'Kelp: the light sinker line breaks first, and a clip carries it through the cast.',
    conditions: { castStyle: 'overhead', lineOutM: 60, freeboardM: 3 },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d208',
    mark: 'Long Ledge',
    outfit: 'rocks',
    family: 'slidingFloat',
    wishes: { name: 'Long Ledge pollack float', amounts: { sinkerKg: 0.03, depthM: 5 }, hookSize: '1/0', bait: 'sandeel' },
    notes: 'Over the kelp at slack water.',
    conditions: { castStyle: 'lob', lineOutM: 40, freeboardM: 3 },
    tags: ['slack water'],
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d209',
    mark: 'Hesk Bar',
    outfit: 'beach',
    family: 'boomPaternoster',
    wishes: {
      name: 'Hesk Bar scratching, three booms',
      amounts: { snoods: 3, sinkerKg: 0.15 },
      hookSize: '1/0',
      bait: 'lugworm',
    },
    notes: '',
    conditions: { castStyle: 'overhead', lineOutM: 110 },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d210',
    outfit: 'beach',
    family: 'boomPaternoster',
    wishes: { name: 'Tarrow pier, one boom', amounts: { snoods: 1, sinkerKg: 0.12 }, hookSize: '4/0', bait: 'razorClam' },
    notes: '',
    conditions: { castStyle: 'lob', lineOutM: 50, freeboardM: 5 },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d212',
    mark: 'Long Ledge',
    outfit: 'rocks',
    family: 'pulley',
    wishes: { name: 'Long Ledge conger pulley', amounts: { sinkerKg: 0.15 }, hookSize: '5/0', bait: 'halfFish' },
    notes: 'The pull of a fish lifts the sinker clear of the kelp.',
    conditions: { castStyle: 'lob', lineOutM: 50, freeboardM: 3 },
    tags: ['night', 'rough'],
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d213',
    mark: 'Hesk Bar',
    outfit: 'beach',
    family: 'clippedDown',
    wishes: { name: 'Hesk Bar worm, clipped down', amounts: { sinkerKg: 0.15 }, hookSize: '1', bait: 'lugworm' },
    notes: '',
    conditions: { castStyle: 'offTheGround', lineOutM: 120 },
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d214',
    mark: 'Outer Bank',
    outfit: 'boat',
    family: 'hookString',
    wishes: { name: 'Outer Bank bait string', amounts: { sinkerKg: 0.115, hooks: 5 }, hookSize: '6' },
    notes: 'Bait for the tope, on the drift.',
    conditions: { ...AFLOAT, lineOutM: 60 },
    tags: ['bait'],
  },
  {
    id: 'b7e2d0f1-62a8-4c2d-9b45-2e3a81c7d211',
    mark: 'Hesk Bar',
    outfit: 'beach',
    family: 'boomPaternoster',
    wishes: {
      name: 'Hesk Bar hound trace, two booms',
      amounts: { snoods: 2, sinkerKg: 0.15 },
      hookSize: '4/0',
      bait: 'peelerCrab',
    },
    notes: 'Smooth-hound on peeler crab. Leader still on the old knot.',
    tags: ['night'],
    conditions: { castStyle: 'overhead', lineOutM: 90 },
    patch: {
      leader: { strengthN: 40 * LB, attach: tiedToOutfit('albright') },
      body: { strengthN: 50 * LB },
      'snood-a': { strengthN: 40 * LB },
      'snood-b': { strengthN: 40 * LB },
    },
    dragLb: 11,
  },
]

export const DEMO_TRACE_IDS: readonly string[] = RECIPES.map(({ id }) => id)

export function demoTraces(): { id: string; content: TraceContent }[] {
  return RECIPES.map(({ id, mark, outfit, family, wishes, notes, tags, conditions, patch, dragLb }) => {
    const { id: outfitId, content } = DEMO_OUTFITS[outfit]
    const from = familyOf(family)
    if (!from) throw new Error(`There is no family ${family}`)
    const first = draft({
      family: from,
      // Sinkers as tied for the scenario: not each was chosen for its water.
      said: { ...wishes, amounts: { ...usualAmounts(from), ...wishes.amounts } },
      outfit: content,
      conditions: defaultConditions(conditions),
      catalogue: NOMINAL_CATALOGUE,
    })
    const trace: Trace = {
      ...first.trace,
      pieces: first.trace.pieces.map((piece) => ({ ...piece, ...patch?.[piece.id] }) as Piece),
      ...(notes ? { notes } : {}),
      ...(tags ? { tags } : {}),
    }
    // The fish that was drafted for is the one that the scenario’s angler lands.
    const { fishAssumed: _assumed, ...settled } = first.conditions
    return {
      id,
      content: {
        trace,
        outfitId,
        ...(mark ? { markId: demoId(mark) } : {}),
        conditions: { ...settled, ...waterAt(mark, settled), ...(dragLb === undefined ? {} : { dragN: dragLb * LB }) },
      },
    }
  })
}

/** The water of the mark, for what does not move with its line and has none of its own. */
function waterAt(name: string | undefined, { water, moving }: Conditions): Partial<Conditions> {
  const mark = DEMO_MARKS.find((each) => each.name === name)
  return mark && !water && !moving ? { water: springWater(markSchema.parse(mark)) } : {}
}
