import { Moon, Sun, Sunset } from 'lucide-react'
import { ToggleGroup } from 'radix-ui'
import { lazy, Suspense } from 'react'
import { NavLink, Outlet } from 'react-router'
import { Toaster } from 'sonner'
import { type Light, usePreferences } from '../settings/preferences.tsx'
import { Loading } from '../ui/states.tsx'
import { useRouteFocus } from './useRouteFocus.ts'

const Help = lazy(() => import('./Help.tsx'))

const PLACES = [
  { to: '/traces', name: 'Traces' },
  { to: '/water', name: 'Water' },
  { to: '/gear', name: 'Gear' },
  { to: '/fish', name: 'Fish' },
  { to: '/knots', name: 'Knots' },
  { to: '/settings', name: 'Settings' },
]

const LIGHT_ICONS: Record<Light, typeof Sun> = { day: Sun, dusk: Sunset, lamp: Moon }

export function Shell() {
  const { units } = usePreferences()
  useRouteFocus()
  return (
    <>
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-2">
        Skip to content
      </a>
      <header className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule bg-sheet px-3 py-1.5 sm:px-6">
        <NavLink to="/traces" className="text-lg font-bold tracking-tight">
          Wide Reach
        </NavLink>
        <nav aria-label="Main" className="flex gap-1 max-sm:order-last max-sm:w-full max-sm:justify-between max-sm:gap-0">
          {PLACES.map(({ to, name }) => (
            <NavLink
              key={to}
              to={to}
              className={({ isActive }) =>
                `flex items-center justify-center rounded-md px-2.5 py-1.5 max-sm:px-1 ${isActive ? 'bg-well font-semibold' : 'text-quiet hover:bg-well'}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <span className="ml-auto text-sm text-quiet max-sm:hidden" title="Units shown; change them in Settings">
          {units.strength} · {units.mass} · {units.length}
        </span>
        <Suspense>
          <Help />
        </Suspense>
        <LightSwitch />
      </header>
      <main id="main" tabIndex={-1} className="mx-auto max-w-[110rem] outline-none">
        <Suspense fallback={<Loading what="the screen" />}>
          <Outlet />
        </Suspense>
      </main>
      <Toaster
        position="bottom-center"
        toastOptions={{
          className: 'font-sans',
          style: { background: 'var(--sheet)', color: 'var(--ink)', borderColor: 'var(--rule)', fontFamily: 'var(--font-sans)' },
        }}
      />
    </>
  )
}

function LightSwitch() {
  const { light, setLight } = usePreferences()
  return (
    <ToggleGroup.Root
      type="single"
      value={light}
      onValueChange={(next) => next && setLight(next as Light)}
      aria-label="Light"
      className="flex rounded-md border border-rule max-sm:ml-auto"
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
