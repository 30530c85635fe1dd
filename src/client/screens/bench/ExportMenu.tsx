import { type TraceFile, writeTraceFile } from '../../../files/traceFile.ts'
import { standaloneSvg } from '../../charts/standaloneSvg.ts'
import { DownloadMenu } from '../../ui/DownloadMenu.tsx'
import { download, fileName } from '../../ui/download.ts'

/** The trace as a file that can be taken in again, with all that it is judged by, and its drawing as a picture for anything that shows SVG. */
export function ExportMenu({ file }: { file: TraceFile }) {
  const { trace } = file
  const saveTrace = () => download(fileName(trace.name, 'json'), 'application/json', writeTraceFile(file))
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
