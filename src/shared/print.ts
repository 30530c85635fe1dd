import { z } from 'zod'
import { text } from '../core/documents/text.ts'
import { PAPERS } from '../core/layout/labelSheet.ts'

const mm = z.number().min(0).max(500)
const sizeMm = z.number().min(10).max(500)

export const labelGrid = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('sheet'),
    paper: z.enum(Object.keys(PAPERS) as [keyof typeof PAPERS]),
    columns: z.int().min(1).max(10),
    rows: z.int().min(1).max(30),
    marginXMm: mm,
    marginYMm: mm,
    gapMm: mm,
    skip: z.int().min(0).max(299),
  }),
  z.strictObject({ kind: z.literal('single'), widthMm: sizeMm, heightMm: sizeMm }),
])

/** A label: its name, its lines under that, and the address behind its code. */
export const label = z.strictObject({ title: text(200), lines: z.array(text(200)).max(12), address: text(300).min(1) })
export type Label = z.infer<typeof label>
export const MAX_LABELS = 300
export const labelsBody = z.strictObject({ grid: labelGrid, labels: z.array(label).min(1).max(MAX_LABELS) })
export type LabelsBody = z.infer<typeof labelsBody>

/** A shape of a drawing in its own units: a path, or a text at a point. */
const shape = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('path'),
    d: z.string().max(20_000),
    matrix: z.tuple([z.number(), z.number(), z.number(), z.number(), z.number(), z.number()]),
    strokeWidth: z.number().min(0).max(100),
    dash: z.array(z.number().min(0).max(1_000)).max(8),
    fill: z.enum(['none', 'black', 'white', 'grey']),
  }),
  z.strictObject({
    kind: z.literal('text'),
    text: text(200),
    x: z.number(),
    y: z.number(),
    size: z.number().min(1).max(200),
    anchor: z.enum(['start', 'middle', 'end']),
  }),
])
export type Shape = z.infer<typeof shape>

const section = z.strictObject({
  title: text(120),
  /** Rows of a name and what is said of it, or lines alone. */
  rows: z.array(z.union([z.tuple([text(300), text(600)]), text(1_000)])).max(200),
  isNumbered: z.boolean().optional(),
})
export type CardSection = z.infer<typeof section>

/** A trace on one page: its drawing, and sections in the order of the work. */
export const cardBody = z.strictObject({
  paper: z.enum(Object.keys(PAPERS) as [keyof typeof PAPERS]),
  title: text(200),
  about: text(400),
  drawing: z.strictObject({
    width: z.number().min(1).max(10_000),
    height: z.number().min(1).max(10_000),
    shapes: z.array(shape).max(4_000),
  }),
  sections: z.array(section).max(20),
  caution: text(1_000),
})
export type CardBody = z.infer<typeof cardBody>
