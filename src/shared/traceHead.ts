import { z } from 'zod'
import { FAMILY_IDS } from '../core/catalogue/familyIds.ts'
import { CAST_STYLE_IDS, METHOD_IDS } from '../core/catalogue/ids.ts'

const ofList = <T extends readonly string[]>(list: T) => z.enum(list).nullable().catch(null)
const idOrNull = z.uuid().nullable().catch(null)

/**
 * What a list shows and searches of a trace before its content is looked at; the database keeps it (`document_head` of the
 * migrations). A content that cannot be read has what of it can be.
 */
export const traceHead = z.object({
  name: z.string().catch('without a name'),
  family: ofList(FAMILY_IDS),
  tags: z.array(z.string()).catch([]),
  notes: z.string().catch(''),
  outfitId: idOrNull,
  markId: idOrNull,
  castStyle: ofList(CAST_STYLE_IDS),
  method: ofList(METHOD_IDS),
})

export type TraceHead = z.infer<typeof traceHead>
