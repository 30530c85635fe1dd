import type { Catalogue } from '../core/catalogue/catalogue.ts'
import type { Mark } from '../core/documents/mark.ts'
import type { TripEvent } from '../core/documents/observation.ts'
import type { EventTarget } from '../files/eventCsv.ts'
import type { Waypoint } from '../files/gpx.ts'
import type { ToldPull } from '../files/pullCsv.ts'
import type { ReadFile } from '../files/readCsv.ts'
import type { Owned, TableChange, TableItems } from '../files/tables.ts'
import type { TraceFile } from '../files/traceFile.ts'

/** The formats that can be read, with what each reader needs besides the bytes, and its result. */
export type FileFormats = {
  gear: { with: { owned: readonly Owned<TableItems['gear']>[] }; read: ReadFile<TableChange<TableItems['gear']>[]> }
  fish: { with: { owned: readonly Owned<TableItems['fish']>[] }; read: ReadFile<TableChange<TableItems['fish']>[]> }
  pulls: { with: object; read: ReadFile<ToldPull[]> }
  events: { with: { target: EventTarget }; read: ReadFile<TripEvent[]> }
  stream: { with: object; read: ReadFile<Mark['stream'][number][]> }
  heights: { with: { timeZone: string }; read: ReadFile<NonNullable<Mark['heights']>[number][]> }
  places: { with: object; read: ReadFile<Waypoint[]> }
  trace: { with: { catalogue: Catalogue }; read: ReadFile<TraceFile> }
}
export type FileFormat = keyof FileFormats

export type ReadFileRequest<F extends FileFormat = FileFormat> = {
  [Each in F]: { format: Each; bytes: Uint8Array } & FileFormats[Each]['with']
}[F]
export type ReadFileResult = FileFormats[FileFormat]['read']
