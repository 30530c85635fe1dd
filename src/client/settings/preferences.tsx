import { createContext, Fragment, type ReactNode, useCallback, useContext, useMemo, useState } from 'react'
import type { OwnMeasures } from '../../core/outfits/lengthWays.ts'
import { QUANTITIES, type Quantity } from '../../core/units/quantities.ts'
import { REGIONS, type Region } from '../regional/regionWords.ts'
import { speakAs } from '../regional/spoken.ts'
import { BROWSER_FORMATS } from './browserFormats.ts'
import { fromStorage } from './browserStorage.ts'
import { type Formats, formatsOf } from './formats.ts'
import { type Show, showIn, type Units } from './show.ts'
import { DEFAULT_PX_PER_MM } from './trueSize.ts'

const LIGHTS = ['day', 'dusk', 'lamp'] as const
export type Light = (typeof LIGHTS)[number]
/** `pxPerMm`: of this screen, as someone calibrated it; `own`: what a person measures by, once measured. */
type Preferences = {
  light: Light
  units: Units
  /** Absent: as the browser's language writes it. */
  formats: Partial<Formats>
  pxPerMm: number
  own: Partial<OwnMeasures>
  /** Whose words are shown. */
  region: Region
}

/** Units offered for each quantity, the usual one first. */
export const UNIT_CHOICES: Record<Quantity, readonly string[]> = {
  strength: ['lb', 'kg', 'N'],
  mass: ['g', 'oz'],
  fish: ['kg', 'lb', 'st'],
  length: ['m', 'cm', 'ft', 'in'],
  depth: ['m', 'ft', 'fm'],
  diameter: ['mm', 'in'],
  speed: ['kn', 'm/s'],
}

const KEY = 'wide-reach.preferences'
const USUAL: Preferences = {
  light: 'day',
  units: { strength: 'lb', mass: 'g', fish: 'kg', length: 'm', depth: 'm', diameter: 'mm', speed: 'kn' },
  formats: {},
  pxPerMm: DEFAULT_PX_PER_MM,
  own: {},
  region: 'default',
}

/** Pixels per millimetre that a screen may have. */
export const PX_PER_MM_LIMITS = { least: 1.5, most: 12 } as const

/** What this browser keeps; anything that does not read as a preference falls back to the usual one. */
const read = (): Preferences => fromStorage(stored) ?? USUAL

function stored(): Preferences {
  const kept = JSON.parse(localStorage.getItem(KEY) ?? '{}') as {
    light?: string
    units?: Record<string, string>
    pxPerMm?: number
    formats?: Record<string, unknown>
    own?: Record<string, unknown>
    region?: string
  }
  // Depths were shown in the unit of lengths before they had one of their own.
  const inFeet = kept.units?.length === 'ft' || kept.units?.length === 'in'
  const units = { ...USUAL.units, ...(inFeet ? { depth: 'ft' } : {}) }
  for (const quantity of Object.keys(QUANTITIES) as Quantity[]) {
    const unit = kept.units?.[quantity]
    if (unit !== undefined && UNIT_CHOICES[quantity].includes(unit)) units[quantity] = unit
  }
  const px = kept.pxPerMm
  const sane = typeof px === 'number' && px >= PX_PER_MM_LIMITS.least && px <= PX_PER_MM_LIMITS.most
  return {
    light: LIGHTS.find((light) => light === kept.light) ?? USUAL.light,
    units,
    formats: formatsOf(kept.formats),
    pxPerMm: sane ? px : USUAL.pxPerMm,
    own: ownOf(kept.own),
    region: REGIONS.find((region) => region === kept.region) ?? USUAL.region,
  }
}

/** Lengths that an arm or a boat may have, m. */
export const OWN_LIMITS = { armM: { least: 0.3, most: 1.2 }, boatM: { least: 2, most: 60 } } as const

function ownOf(kept: Record<string, unknown> = {}): Partial<OwnMeasures> {
  const within = (key: keyof typeof OWN_LIMITS) => {
    const value = kept[key]
    const { least, most } = OWN_LIMITS[key]
    return typeof value === 'number' && value >= least && value <= most ? { [key]: value } : {}
  }
  return { ...within('armM'), ...within('boatM') }
}

type PreferencesApi = Preferences & {
  setLight: (light: Light) => void
  setUnit: (quantity: Quantity, unit: string) => void
  /** Chooses a format; undefined returns to the browser's. */
  setFormat: (format: keyof Formats, value: string | undefined) => void
  setPxPerMm: (pxPerMm: number) => void
  setOwn: (own: Partial<OwnMeasures>) => void
  setRegion: (region: Region) => void
}

const Context = createContext<PreferencesApi | undefined>(undefined)

export function PreferencesProvider({ children }: { children: ReactNode }) {
  const [preferences, setPreferences] = useState(read)
  speakAs(preferences.region)
  document.documentElement.dataset.light = preferences.light
  document.documentElement.style.setProperty('--mm', `${preferences.pxPerMm}px`)
  const update = useCallback((change: (old: Preferences) => Preferences) => {
    setPreferences((old) => {
      const next = change(old)
      fromStorage(() => localStorage.setItem(KEY, JSON.stringify(next)))
      return next
    })
  }, [])
  const api = useMemo(
    () => ({
      ...preferences,
      setLight: (light: Light) => update((old) => ({ ...old, light })),
      setFormat: (format: keyof Formats, value: string | undefined) =>
        update((old) => ({ ...old, formats: formatsOf({ ...old.formats, [format]: value }) })),
      setPxPerMm: (pxPerMm: number) => update((old) => ({ ...old, pxPerMm })),
      setRegion: (region: Region) => update((old) => ({ ...old, region })),
      setOwn: (own: Partial<OwnMeasures>) => update((old) => ({ ...old, own })),
      setUnit: (quantity: Quantity, unit: string) => update((old) => ({ ...old, units: { ...old.units, [quantity]: unit } })),
    }),
    [preferences, update],
  )
  // Other words are other texts everywhere: all is drawn again.
  return (
    <Context value={api}>
      <Fragment key={preferences.region}>{children}</Fragment>
    </Context>
  )
}

export function usePreferences(): PreferencesApi {
  const api = useContext(Context)
  if (!api) throw new Error('PreferencesProvider is missing')
  return api
}

/** The formats in force: those chosen, else the browser's. */
export function useFormats(): Formats {
  const { formats } = usePreferences()
  return useMemo(() => ({ ...BROWSER_FORMATS, ...formats }), [formats])
}

/** Writes quantities, numbers and times in the units and formats this browser shows. */
export function useShow(): Show {
  const { units } = usePreferences()
  const formats = useFormats()
  return useMemo(() => showIn(units, formats), [units, formats])
}
