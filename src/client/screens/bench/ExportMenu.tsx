import type { Trace } from '../../../core/documents/trace.ts'
import { writeTraceFile } from '../../../files/traceFile.ts'
import { standaloneSvg } from '../../charts/standaloneSvg.ts'
import { DownloadMenu } from '../../ui/DownloadMenu.tsx'
import { download, fileName } from '../../ui/download.ts'

/** The trace as a file that can be taken in again, and its drawing as a picture for anything that shows SVG. */
export function ExportMenu({ trace }: { trace: Trace }) {
  const saveTrace = () => download(fileName(trace.name, 'json'), 'application/json', writeTraceFile(trace))
  const saveDrawing = () => {
    const drawings = document.querySelectorAll<SVGSVGElement>('[data-drawing] > svg')
    download(fileName(trace.name, 'svg'), 'image/svg+xml', standaloneSvg([...drawings], trace.name))
  }
  return (
    <DownloadMenu
      items={[
        { label: 'Trace as a file (JSON)', onSelect: saveTrace },
        { label: 'Drawing and profile (SVG)', onSelect: saveDrawing },
      ]}
    />
  )
}
