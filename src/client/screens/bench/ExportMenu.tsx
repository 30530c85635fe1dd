import { Download } from 'lucide-react'
import { DropdownMenu } from 'radix-ui'
import type { Trace } from '../../../core/trace/schema.ts'
import { writeTraceFile } from '../../../core/trace/traceFile.ts'
import { standaloneSvg } from '../../charts/standaloneSvg.ts'
import { buttonClass } from '../../ui/controls.tsx'
import { download, fileName } from '../../ui/download.ts'

const itemClass = 'block cursor-pointer rounded-md px-3 py-2 outline-none data-[highlighted]:bg-well'

/** The trace as a file that can be taken in again, and its drawing as a picture for anything that shows SVG. */
export function ExportMenu({ trace }: { trace: Trace }) {
  const saveDrawing = () => {
    const drawings = document.querySelectorAll<SVGSVGElement>('[data-drawing] > svg')
    download(fileName(trace.name, 'svg'), 'image/svg+xml', standaloneSvg([...drawings], trace.name))
  }
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger className={buttonClass()}>
        <Download className="size-4" /> Export
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" sideOffset={4} className="z-30 rounded-lg border border-rule bg-sheet p-1 text-ink">
          <DropdownMenu.Item
            className={itemClass}
            onSelect={() => download(fileName(trace.name, 'json'), 'application/json', writeTraceFile(trace))}
          >
            Trace as a file (JSON)
          </DropdownMenu.Item>
          <DropdownMenu.Item className={itemClass} onSelect={saveDrawing}>
            Drawing and profile (SVG)
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  )
}
