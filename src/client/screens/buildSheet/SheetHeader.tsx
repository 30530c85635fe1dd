import { Printer } from 'lucide-react'
import type { ReactNode } from 'react'
import { Button } from '../../ui/controls.tsx'

type Props = { what: string; name: string; outfit: string; children: ReactNode }

/** The title of a sheet, with what can be done beside it. */
export function SheetHeader({ what, name, outfit, children }: Props) {
  return (
    <header className="flex flex-wrap items-end gap-3">
      <div className="mr-auto">
        <p className="text-sm text-quiet">{what}</p>
        <h1 className="text-xl font-bold" translate="no">
          {name}
        </h1>
        <p className="text-quiet">
          for <span translate="no">{outfit}</span>
        </p>
      </div>
      <div className="no-print flex flex-wrap items-end gap-1.5">
        {children}
        <Button tone="strong" onClick={() => window.print()}>
          <Printer className="size-4" /> Print
        </Button>
      </div>
    </header>
  )
}
