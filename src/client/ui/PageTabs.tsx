import { NavLink, Outlet } from 'react-router'

/** `hasPages`: it stays chosen on the pages under its address. */
type Tab = { to: string; name: string; hasPages?: boolean }

/** Screens that belong together, each behind a tab; the chosen one is shown under them. */
export function PageTabs({ label, tabs }: { label: string; tabs: readonly Tab[] }) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <nav aria-label={label} className="no-print flex flex-wrap gap-1">
        {tabs.map(({ to, name, hasPages = false }) => (
          <NavLink
            key={to}
            to={to}
            end={!hasPages}
            className={({ isActive }) =>
              `rounded-md px-2.5 py-1.5 ${isActive ? 'bg-sheet font-semibold' : 'text-quiet hover:bg-sheet'}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <Outlet />
    </div>
  )
}
