import { Moon, Sun, Sunset } from 'lucide-react'
import { ToggleGroup } from 'radix-ui'
import { type Light, usePreferences } from '../settings/preferences.tsx'

const LIGHT_ICONS: Record<Light, typeof Sun> = { day: Sun, dusk: Sunset, lamp: Moon }

/** Day, dusk or lamp. */
export default function LightSwitch() {
  const { light, setLight } = usePreferences()
  return (
    <ToggleGroup.Root
      type="single"
      value={light}
      onValueChange={(next) => next && setLight(next as Light)}
      aria-label="Light"
      className="flex rounded-md border border-rule"
    >
      {(Object.keys(LIGHT_ICONS) as Light[]).map((name) => {
        const Icon = LIGHT_ICONS[name]
        return (
          <ToggleGroup.Item
            key={name}
            value={name}
            title={`${name} light`}
            className="flex min-h-9 items-center justify-center gap-1 px-2 text-sm text-quiet first:rounded-l-md last:rounded-r-md data-[state=on]:bg-well data-[state=on]:font-semibold data-[state=on]:text-ink"
          >
            <Icon className="size-4" aria-hidden="true" /> <span className="max-sm:sr-only">{name}</span>
          </ToggleGroup.Item>
        )
      })}
    </ToggleGroup.Root>
  )
}
