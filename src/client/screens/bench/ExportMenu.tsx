import { useQueryClient } from '@tanstack/react-query'
import type { Outfit } from '../../../core/documents/outfit.ts'
import { OUTFIT } from '../../../core/documents/vocabulary.ts'
import { drawInWords } from '../../../core/edit/inWords.ts'
import { traceInWords } from '../../../core/edit/traceInWords.ts'
import { emptyTrace } from '../../../core/families/emptyTrace.ts'
import { writeTraceFile } from '../../../files/traceFile.ts'
import type { ContentOf } from '../../../shared/documentKinds.ts'
import type { DocumentKind } from '../../../shared/kindNames.ts'
import type { TraceContent } from '../../../shared/traceContent.ts'
import { documentQuery } from '../../api/documents.ts'
import { ApiError } from '../../api/http.ts'
import { useCatalogue } from '../../catalogue/useCatalogue.ts'
import { standaloneSvg } from '../../charts/standaloneSvg.ts'
import { toast } from '../../regional/toast.ts'
import { copyText } from '../../ui/copyText.ts'
import { DownloadMenu } from '../../ui/DownloadMenu.tsx'
import { download, fileName } from '../../ui/download.ts'

/** The trace as a file that can be taken in again, with all that it is judged by, and its drawing as a picture for anything that shows SVG. */
export function ExportMenu({ content, outfit }: { content: TraceContent; outfit: Outfit | undefined }) {
  const client = useQueryClient()
  const catalogue = useCatalogue()
  const { trace, conditions, markId, fishId } = content
  /** A document of the crew; undefined where it was deleted for good. */
  const find = async <K extends DocumentKind>(kind: K, id: string): Promise<ContentOf<K> | undefined> => {
    try {
      return (await client.fetchQuery(documentQuery(kind, id))).content
    } catch (error) {
      if (error instanceof ApiError && error.status === 404) return undefined
      throw error
    }
  }
  const saveTrace = async () => {
    try {
      const [mark, fish] = await Promise.all([markId && find('marks', markId), fishId && find('fish', fishId)])
      const file = { trace, outfit, conditions, mark: mark || undefined, fish: fish || undefined }
      download(fileName(trace.name, 'json'), 'application/json', writeTraceFile(file))
    } catch (error) {
      toast.error(`The mark or the fish of this trace could not be loaded. ${(error as Error).message}`)
    }
  }
  /** In the words that Add part and Import read; a part that words cannot place is said. */
  const copyTrace = () => {
    const text = traceInWords(trace, catalogue)
    const again = outfit && drawInWords({ trace: emptyTrace(trace.name), outfit, catalogue }, { at: 'end', of: OUTFIT }, text)
    copyText(
      text,
      again && !again.ok ? `Copied. Words cannot place every part of it: ${again.why}.` : 'Copied. Paste it under Import.',
    )
  }
  const saveDrawing = () => {
    const drawings = document.querySelectorAll<SVGSVGElement>('[data-drawing] > svg')
    download(fileName(trace.name, 'svg'), 'image/svg+xml', standaloneSvg([...drawings], trace.name))
  }
  return (
    <DownloadMenu
      items={[
        { label: 'Copy as text', onSelect: copyTrace },
        { label: 'Trace as a file (JSON)', onSelect: saveTrace },
        { label: 'Drawing and profile (SVG)', onSelect: saveDrawing },
      ]}
    />
  )
}
