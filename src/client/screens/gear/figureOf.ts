import { hardwareStrengthN } from '../../../core/catalogue/hardware.ts'
import type { Gear } from '../../../core/documents/gear.ts'
import { parseHookSize } from '../../../core/units/hookSize.ts'
import { parseQuantity } from '../../../core/units/parseQuantity.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { useFormats, usePreferences, useShow } from '../../settings/preferences.tsx'
import type { ReadText } from '../../ui/useDraftText.ts'

/** The figure that a piece of gear is chosen by: a strength, a weight, or a hook’s size. `order` sorts it. */
export type FigureOf = { order: number } & (
  | {
      name: 'strength' | 'weight'
      quantity: 'strength' | 'mass'
      si: number | undefined
      item: Gear
      set: (si: number | string) => Gear
    }
  | { name: 'size'; size: string; set: (size: number | string) => Gear }
)

/** Undefined for what carries no pull and is not weighed: a bead. */
export function figureOf(item: Gear): FigureOf | undefined {
  switch (item.kind) {
    case 'line':
    case 'hardware':
      return {
        name: 'strength',
        quantity: 'strength',
        si: item.strengthN,
        item,
        order: item.strengthN ?? 0,
        set: (si) => ({ ...item, strengthN: Number(si) }),
      }
    case 'hook': {
      const parsed = parseHookSize(item.size)
      return {
        name: 'size',
        size: item.size,
        order: parsed.ok ? parsed.size.step : 0,
        set: (size) => ({ ...item, size: String(size) }),
      }
    }
    default:
      return {
        name: 'weight',
        quantity: 'mass',
        si: item.massKg,
        item,
        order: item.massKg ?? 0,
        set: (si) => ({ ...item, massKg: Number(si) }),
      }
  }
}

/** How a figure is shown and read back. */
export function useFigureText(figure: FigureOf | undefined): {
  shown: string
  read: (text: string) => ReadText<number | string>
} {
  const catalogue = useCatalogue()
  const show = useShow()
  const { units } = usePreferences()
  const { decimalSign } = useFormats()
  if (!figure) return { shown: '', read: () => ({ ok: false, message: '' }) }
  if (figure.name === 'size')
    return {
      shown: figure.size,
      read: (text) => {
        const parsed = parseHookSize(text)
        return parsed.ok ? { ok: true, value: text.trim() } : { ok: false, message: parsed.message }
      },
    }
  const { quantity, si, item } = figure
  const nominal =
    item.kind === 'hardware' && item.size !== undefined ? hardwareStrengthN(catalogue, item.type, item.size) : undefined
  return {
    shown:
      si === undefined
        ? nominal === undefined
          ? ''
          : `${show.computed('strength', nominal)}, nominal`
        : show.entered(quantity, si),
    read: (text) => {
      const parsed = parseQuantity(quantity, text.replace(', nominal', ''), units[quantity], decimalSign)
      if (!parsed.ok) return parsed
      return parsed.si > 0 ? { ok: true, value: parsed.si } : { ok: false, message: 'Must be more than 0.' }
    },
  }
}
