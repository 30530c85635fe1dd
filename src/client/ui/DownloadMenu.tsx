import { Download } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import { buttonClass } from './controls.tsx'

const itemClass = 'block cursor-pointer rounded-md px-3 py-2 outline-none data-[highlighted]:bg-well'

/** What can be taken away as a file, behind one button. */
export function DownloadMenu({
  items,
  disabled,
}: {
  items: readonly { label: string; onSelect: () => void }[]
  disabled?: boolean
}) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={buttonClass()} disabled={disabled}>
        <Download className="size-4" /> Export
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={4} className="z-30 rounded-lg border border-rule bg-sheet p-1 text-ink">
          {items.map(({ label, onSelect }) => (
            <DropdownMenu.Item key={label} className={itemClass} onSelect={onSelect}>
              {label}
            </DropdownMenu.Item>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
