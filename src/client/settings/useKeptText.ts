import { z } from 'zod'
import { useKeptJson } from './useKeptJson.ts'

const kept = z.string().max(400)

/** A text that this browser keeps, such as who ties here. */
export const useKeptText = (name: string): [string, (text: string) => void] => useKeptJson(name, kept, '')
