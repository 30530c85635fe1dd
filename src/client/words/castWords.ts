import { CAST_STYLES, type CastStyle } from '../../core/cast/styles.ts'
import type { Conditions } from '../../core/trace/conditions.ts'

/** Ways of getting a trace out, as they are offered. */
export const CAST_CHOICES: readonly Conditions['castStyle'][] = ['none', ...(Object.keys(CAST_STYLES) as CastStyle[])]

export const castName = (style: Conditions['castStyle']) => (style === 'none' ? 'not cast: lowered' : CAST_STYLES[style].name)
