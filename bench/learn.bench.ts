// npm run bench:learn: what learning from logs is worth, by 500 drawn crews of 20 trips; and what it takes with 10,000 events.
import { startBuiltApp } from '../scripts/lib/builtApp.ts'
import { runMain } from '../scripts/lib/problem.ts'
import { buildClient } from '../scripts/lib/project.ts'
import type { Trip } from '../src/core/documents/trip.ts'
import { lessonsOf } from '../src/core/lessons/lessons.ts'
import { DEFAULT_PRIORS } from '../src/core/lessons/priors.ts'
import { statementsOf } from '../src/core/lessons/statements.ts'
import { learnedSums } from '../src/shared/lessons.ts'
import { crewFigures } from '../tests/fixtures/crews.ts'

const CREWS = 500
const EVENTS = 10_000

/** Copies the demonstration trips with their events until there are so many. */
async function fill(url: string): Promise<number> {
  const ask = async <T>(path: string, body?: unknown): Promise<T> => {
    const answer = await fetch(`${url}/api${path}`, {
      ...(body ? { method: 'POST', body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } } : {}),
    })
    if (!answer.ok) throw new Error(await answer.text())
    return answer.json() as Promise<T>
  }
  const { documents } = await ask<{ documents: { id: string; content: Trip }[] }>('/trips')
  const trips = documents.filter(({ content }) => content.startedAt)
  const logs = await Promise.all(trips.map(({ id }) => ask<object[]>(`/observations?trip=${id}`)))
  let events = logs.flat().length
  for (let round = 0; events < EVENTS; round += 1)
    for (const [i, { content }] of trips.entries()) {
      const tripId = crypto.randomUUID()
      await ask('/trips', { id: tripId, content: { ...content, name: `${content.name}, copy ${round}` } })
      const observations = logs[i]!.map((event) => ({ ...event, observer: undefined, id: crypto.randomUUID(), tripId }))
      for (let at = 0; at < observations.length; at += 500)
        await ask('/observations/many', { observations: observations.slice(at, at + 500) })
      events += observations.length
    }
  return events
}

async function timed<T>(of: () => Promise<T>): Promise<[T, number]> {
  const from = performance.now()
  const value = await of()
  return [value, performance.now() - from]
}

await runMain(async () => {
  const { covered, mistaken, found } = crewFigures(CREWS, 20)
  console.table({
    'true rates in their 90 % intervals': covered,
    'fair crews with a knot called worse': mistaken,
    'a knot at 0.8 of nominal called out by trip 10': found,
  })
  await buildClient()
  const app = await startBuiltApp()
  try {
    const events = await fill(app.url)
    const sums = async () => learnedSums.parse(await (await fetch(`${app.url}/api/lessons/sums`)).json())
    const [first, firstMs] = await timed(sums)
    const [, allMs] = await timed(async () => {
      for (let left = first.waiting; left > 0; ) left = (await sums()).waiting
    })
    const [all, againMs] = await timed(sums)
    const [, lessonsMs] = await timed(async () => statementsOf(lessonsOf(all, DEFAULT_PRIORS)))
    console.table({
      events,
      trips: all.trips.length,
      'first answer, ms': firstMs,
      'until every trip is counted, s': allMs / 1000,
      'answer after that, ms': againMs,
      'size, kB': JSON.stringify(all).length / 1000,
      'lessons and statements, ms': lessonsMs,
    })
  } finally {
    await app.close()
  }
})
