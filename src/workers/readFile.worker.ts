import { readEventCsv } from '../files/eventCsv.ts'
import { readGpx } from '../files/gpx.ts'
import { readHeightCsv } from '../files/heightCsv.ts'
import { readPullCsv } from '../files/pullCsv.ts'
import { readTraceFile } from '../files/readTraceFile.ts'
import { readStreamCsv } from '../files/streamCsv.ts'
import { readTableChanges } from '../files/tables.ts'
import { textOfFile } from '../files/textOfFile.ts'
import { answer } from './answer.ts'
import type { ReadFileRequest, ReadFileResult } from './readFile.protocol.ts'

answer<ReadFileRequest, ReadFileResult>((request) => {
  const text = textOfFile(request.bytes)
  if (!text.ok) return text
  switch (request.format) {
    case 'gear':
      return readTableChanges('gear', text.value, request.owned)
    case 'fish':
      return readTableChanges('fish', text.value, request.owned)
    case 'pulls':
      return readPullCsv(text.value)
    case 'events':
      return readEventCsv(text.value, request.target)
    case 'stream':
      return readStreamCsv(text.value)
    case 'heights':
      return readHeightCsv(text.value, request.timeZone)
    case 'places':
      return readGpx(text.value)
    case 'trace':
      return readTraceFile(text.value, request.catalogue)
  }
})
