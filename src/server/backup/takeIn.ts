import { sql, type Transaction } from 'kysely'
import type { RestoreReport } from '../../shared/backup.ts'
import { nameOfUnread } from '../../shared/documentKinds.ts'
import type { Database } from '../db/database.ts'
import type { Tables } from '../db/tables.ts'
import { anyRow, Checksum, type CrewRow, type DocumentRow, type ObservationRow, type RevisionRow, type Row } from './format.ts'

/** Longest line that is read: a document is far shorter. */
const MOST_LINE = 4_000_000

/** Why a file is no backup that can be taken in, in a sentence; nothing of it was. */
export class BackupFault extends Error {}

export type TakeIn = {
  /** Only look: everything is tried and undone. */
  lookOnly: boolean
  /** Whose rows may come in; absent, anyone’s. */
  crewId?: string
}

/**
 * Takes a backup into a database, whole or not at all. What is there stays: a document that is missing comes in with its revisions, one
 * that the backup knows further is continued, and one that went another way since is left as it is and named.
 * @throws BackupFault where the file is no backup, is cut or changed, or holds rows of another crew.
 */
export async function takeIn(db: Database, lines: AsyncIterable<string>, options: TakeIn): Promise<RestoreReport> {
  const transaction = await db.startTransaction().execute()
  try {
    const restore = new Restore(transaction, options)
    await restore.read(lines)
    const report = { ...restore.report, done: !options.lookOnly }
    await (options.lookOnly ? transaction.rollback() : transaction.commit()).execute()
    return report
  } catch (error) {
    await transaction.rollback().execute()
    // 22: a value that the database does not take, such as a NUL in a text; 23: a row without the one it belongs to.
    const refused = /^2[23]/.test((error as { code?: string }).code ?? '')
    throw refused ? new BackupFault(`It holds what cannot be stored (${(error as Error).message}).`) : error
  }
}

class Restore {
  readonly report: RestoreReport = { done: false, added: 0, continued: 0, kept: 0, apart: [], revisions: 0, observations: 0 }
  private readonly db: Transaction<Tables>
  private readonly crewId: string | undefined
  private readonly checksum = new Checksum()
  /** Documents that were there before, by key, with how far the database knows them. */
  private readonly known = new Map<string, number>()
  private readonly apart = new Set<string>()
  private readonly continued = new Set<string>()
  private expected: 'header' | 'rows' | 'nothing' = 'header'

  constructor(db: Transaction<Tables>, { crewId }: TakeIn) {
    this.db = db
    this.crewId = crewId
  }

  async read(lines: AsyncIterable<string>): Promise<void> {
    let number = 0
    for await (const line of lines) {
      number += 1
      if (line === '' && this.expected === 'nothing') continue
      await this.take(this.rowOf(line, number), line)
    }
    if (this.expected !== 'nothing') throw new BackupFault('It ends before its checksum: it was cut short.')
    await this.checkWhole()
    for (const key of this.known.keys()) if (!this.continued.has(key) && !this.apart.has(key)) this.report.kept += 1
    this.report.continued = this.continued.size
  }

  private async checkWhole(): Promise<void> {
    const torn = await this.db
      .selectFrom('documents as head')
      .select('head.id')
      .where(({ not, exists, selectFrom }) =>
        not(
          exists(
            selectFrom('documentRevisions as revision')
              .select('revision.id')
              .whereRef('revision.crewId', '=', 'head.crewId')
              .whereRef('revision.kind', '=', 'head.kind')
              .whereRef('revision.id', '=', 'head.id')
              .whereRef('revision.revision', '=', 'head.revision'),
          ),
        ),
      )
      .executeTakeFirst()
    if (torn) throw new BackupFault(`Document ${torn.id} lacks the revision that it stands at.`)
  }

  private rowOf(line: string, number: number): Row {
    if (this.expected === 'nothing') throw new BackupFault(`Line ${number} comes after the checksum.`)
    if (line.length > MOST_LINE) throw new BackupFault(`Line ${number} is too long to be a row.`)
    const parsed = anyRow.safeParse(jsonOf(line))
    if (!parsed.success) {
      if (number === 1) throw new BackupFault('This is no backup of Wide Reach, or one of a later version.')
      const [first] = parsed.error.issues
      throw new BackupFault(`Line ${number} cannot be read: ${first?.path.join('.')}: ${first?.message}.`)
    }
    if ((this.expected === 'header') !== (parsed.data.row === 'wide-reach-backup'))
      throw new BackupFault('This is no backup of Wide Reach: its header is not where it belongs.')
    return parsed.data
  }

  private async take(row: Row, line: string): Promise<void> {
    if (row.row === 'checksum') {
      if (row.sha256 !== this.checksum.end()) throw new BackupFault('Its checksum does not hold: it was changed or damaged.')
      this.expected = 'nothing'
      return
    }
    this.checksum.add(line)
    const crew = row.row === 'crew' ? row.id : 'crew' in row ? row.crew : this.crewId
    if (this.crewId !== undefined && crew !== this.crewId) throw new BackupFault('It holds rows of another crew.')
    if (row.row === 'wide-reach-backup') this.expected = 'rows'
    else if (row.row === 'crew') await this.crew(row)
    else if (row.row === 'document') await this.document(row)
    else if (row.row === 'revision') await this.revision(row)
    else await this.observation(row)
  }

  private async crew({ id, name, demoLoadedAt }: CrewRow): Promise<void> {
    await this.db
      .insertInto('crews')
      .values({ id, name, demoLoadedAt: demoLoadedAt as never })
      .onConflict((conflict) => conflict.doNothing())
      .execute()
  }

  private async document({ crew: crewId, kind, id, revision, binnedAt }: DocumentRow): Promise<void> {
    const inserted = await this.db
      .insertInto('documents')
      .values({ crewId, kind, id, revision, binnedAt: binnedAt as never })
      .onConflict((conflict) => conflict.doNothing())
      .returning('id')
      .executeTakeFirst()
    if (inserted) {
      this.report.added += 1
      return
    }
    const head = await this.db
      .selectFrom('documents')
      .select('revision')
      .where('crewId', '=', crewId)
      .where('kind', '=', kind)
      .where('id', '=', id)
      .executeTakeFirstOrThrow()
    this.known.set(keyOf({ crew: crewId, kind, id }), head.revision)
  }

  /** Revisions come in order: by the time that later ones are met, it is known whether the earlier are the same. */
  private async revision(row: RevisionRow): Promise<void> {
    const { crew: crewId, kind, id, revision, savedAt, content } = row
    const key = keyOf(row)
    const head = this.known.get(key)
    if (this.apart.has(key)) return
    if (head !== undefined && revision <= head) {
      if (!(await this.isHere(row))) this.goesApart(row)
      return
    }
    await this.db
      .insertInto('documentRevisions')
      .values({ crewId, kind, id, revision, savedAt: savedAt as never, content: JSON.stringify(content) })
      .execute()
    this.report.revisions += 1
    if (head === undefined) return
    this.continued.add(key)
    await this.db
      .updateTable('documents')
      .set({ revision })
      .where('crewId', '=', crewId)
      .where('kind', '=', kind)
      .where('id', '=', id)
      .execute()
  }

  private async isHere({ crew, kind, id, revision, content }: RevisionRow): Promise<boolean> {
    const here = await this.db
      .selectFrom('documentRevisions')
      .select(sql<boolean>`content = ${JSON.stringify(content)}::jsonb`.as('same'))
      .where('crewId', '=', crew)
      .where('kind', '=', kind)
      .where('id', '=', id)
      .where('revision', '=', revision)
      .executeTakeFirst()
    return here?.same ?? false
  }

  private goesApart(row: RevisionRow): void {
    this.apart.add(keyOf(row))
    this.report.apart.push({ kind: row.kind, id: row.id, name: nameOfUnread(row.content) ?? row.id })
  }

  private async observation({ row: _, crew: crewId, details, ...rest }: ObservationRow): Promise<void> {
    const { numInsertedOrUpdatedRows } = await this.db
      .insertInto('observations')
      .values({ ...rest, crewId, details: JSON.stringify(details) } as never)
      .onConflict((conflict) => conflict.doNothing())
      .executeTakeFirst()
    this.report.observations += Number(numInsertedOrUpdatedRows ?? 0)
  }
}

const keyOf = ({ crew, kind, id }: Pick<DocumentRow, 'crew' | 'kind' | 'id'>) => `${crew} ${kind} ${id}`

function jsonOf(line: string): unknown {
  try {
    return JSON.parse(line)
  } catch {
    return undefined
  }
}
