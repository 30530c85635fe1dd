import { NavLink, Outlet } from 'react-router'

const TABS = [
  { to: '/gear', name: 'Outfits' },
  { to: '/gear/box', name: 'Tackle box' },
  { to: '/gear/sizes', name: 'Hook sizes' },
]

/** What a crew owns: outfits, and what is in the box. */
export default function GearScreen() {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-3 p-3 sm:px-6">
      <nav aria-label="Gear" className="no-print flex gap-1">
        {TABS.map(({ to, name }) => (
          <NavLink
            key={to}
            to={to}
            end
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
