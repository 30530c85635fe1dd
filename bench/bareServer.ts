// What the least server would be: Koa, one statement, one document. `server.bench.ts` sets the application's own route against it.
import Koa from 'koa'
import pg from 'pg'

const { DATABASE_URL, PORT } = process.env
const pool = new pg.Pool({ connectionString: DATABASE_URL, max: 10 })
const app = new Koa()
app.use(async (ctx) => {
  const { rows } = await pool.query(
    `select head.id, head.revision, head.binned_at, revision.saved_at, revision.content
    from documents head join document_revisions revision using (crew_id, kind, id, revision)
    where crew_id = $1 and kind = 'traces' and id = $2`,
    ctx.path.split('/').slice(1),
  )
  ctx.body = rows[0]
})
app.listen(Number(PORT), '127.0.0.1', () => process.send?.('listening'))
process.once('disconnect', () => process.exit())
