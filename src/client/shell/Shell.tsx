import { Settings } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { NavLink, Outlet, useLocation } from 'react-router'
import { Toaster } from 'sonner'
import { usePreferences } from '../settings/preferences.tsx'
import { Loading } from '../ui/states.tsx'
import { NetworkNote } from './NetworkNote.tsx'
import { useRouteFocus } from './useRouteFocus.ts'

const Help = lazy(() => import('./Help.tsx'))
const LightSwitch = lazy(() => import('./LightSwitch.tsx'))
const NewVersion = lazy(() => import('./NewVersion.tsx'))

/** The main places; `with` has the other addresses of one. */
const PLACES: readonly { to: string; name: string; with?: RegExp }[] = [
  { to: '/', name: 'Today' },
  { to: '/traces', name: 'Traces', with: /^\/(tied|batches|shopping|t)(\/|$)/ },
  { to: '/trips', name: 'Trips', with: /^\/learn(\/|$)/ },
  { to: '/water', name: 'Water' },
  { to: '/gear', name: 'Gear' },
  { to: '/fish', name: 'Fish' },
  { to: '/knots', name: 'Knots' },
]

export function Shell() {
  const { units } = usePreferences()
  const { pathname } = useLocation()
  useRouteFocus()
  return (
    <>
      <a href="#main" className="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-2">
        Skip to content
      </a>
      <header className="no-print flex flex-wrap items-center gap-x-5 gap-y-1 border-b border-rule bg-sheet px-3 py-1.5 sm:px-6">
        <NavLink to="/" className="text-lg font-bold tracking-tight">
          Wide Reach
        </NavLink>
        <nav
          aria-label="Main"
          className="flex gap-1 max-sm:order-last max-sm:w-full max-sm:flex-wrap max-sm:justify-between max-sm:gap-0"
        >
          {PLACES.map(({ to, name, with: others }) => (
            <NavLink
              key={to}
              to={to}
              end={to === '/'}
              className={({ isActive }) =>
                `flex items-center justify-center rounded-md px-2.5 py-1.5 max-sm:px-1 ${isActive || others?.test(pathname) ? 'bg-well font-semibold' : 'text-quiet hover:bg-well'}`
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
        <NavLink
          to="/settings"
          title="Settings"
          className={({ isActive }) =>
            `flex min-h-9 items-center gap-1 rounded-md px-2 max-sm:ml-auto ${isActive ? 'bg-well font-semibold' : 'text-quiet hover:bg-well'}`
          }
        >
          <Settings className="size-4" aria-hidden="true" /> <span className="max-sm:sr-only">Settings</span>
        </NavLink>
        <Suspense fallback={<span className="h-9.5 w-45 max-sm:w-34" />}>
          <LightSwitch />
        </Suspense>
      </header>
      <NetworkNote />
      <Suspense>
        <NewVersion />
      </Suspense>
      {/* On a phone a message covers the bottom of the page: its end can be scrolled above that. */}
      <main id="main" tabIndex={-1} className="mx-auto max-w-[110rem] outline-none max-sm:pb-24">
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
