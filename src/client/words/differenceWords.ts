import { connectionOf } from '../../core/gear/connections.ts'
import type { Difference } from '../../core/trace/differences.ts'
import { jointSchema } from '../../core/trace/schema.ts'
import type { Show } from '../settings/preferences.tsx'

const FIELD_NAMES: Record<string, string> = {
  strengthN: '',
  lengthM: 'length',
  diameterM: 'diameter',
  massKg: '',
  connection: 'tied with',
  attach: 'place',
}

/** A difference as a person would say it: “leader 60 lb → 40 lb”. */
export function differenceWords(difference: Difference, show: Show): string {
  const name = difference.id.replaceAll('-', ' ')
  if (difference.kind !== 'changed') return `${name} ${difference.kind}`
  const field = FIELD_NAMES[difference.field] ?? difference.field
  const value = (raw: unknown) => valueWords(difference.field, raw, show)
  return `${name} ${field ? `${field} ` : ''}${value(difference.before)} → ${value(difference.after)}`
}

function valueWords(field: string, raw: unknown, show: Show): string {
  if (raw === undefined) return 'as usual'
  if (typeof raw === 'number') {
    if (field === 'strengthN') return show.entered('strength', raw)
    if (field === 'lengthM') return show.entered('length', raw)
    if (field === 'diameterM') return show.entered('diameter', raw)
    if (field === 'massKg') return show.entered('mass', raw)
    return String(raw)
  }
  if (field === 'connection') {
    const connection = jointSchema.shape.connection.safeParse(raw)
    return connection.success ? connectionOf(connection.data).name : String(raw)
  }
  return typeof raw === 'string' ? raw : 'elsewhere'
}
