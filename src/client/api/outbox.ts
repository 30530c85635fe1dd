import { useQueryClient } from '@tanstack/react-query'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { useEffect, useSyncExternalStore } from 'react'
import { z } from 'zod'
import { type Observation, observationSchema } from '../../core/documents/observation.ts'
import { MAX_AT_ONCE } from '../../shared/observations.ts'
import { type ApiError, isRefusal, request } from './http.ts'
import { OBSERVATIONS } from './observations.ts'

interface Stored extends DBSchema {
  outbox: { key: number; value: { observation: unknown; refused?: string; isSent?: boolean } }
}

/** So many that were sent are remembered, also over a reload: without a network what the server said last may be older. */
const MAX_SENT = 500
/** How often what waits is tried again. */
const TRY_MS = 5_000

/** The observations in this browser, by how far they have come. */
export type OutboxState = {
  waiting: readonly Observation[]
  /** Sent lately: what is read from the server may be older than that. */
  sent: readonly Observation[]
  /** Refused by the server for good: kept, and shown with the reason. */
  refused: readonly { observation: Observation; why: string }[]
  /** The browser refused to store anything, for example in a private window. Closing the page loses what is waiting. */
  isMemoryOnly: boolean
}

type Entry = { key: number; observation: Observation; refused?: string | undefined }

/**
 * Observations on their way to the server: stored in this browser before anything else, sent in the order they were made, and dropped
 * only when the server has them. Each has its id, so that one sent twice is stored once.
 */
class Outbox {
  private entries: Entry[] = []
  private sent: Entry[] = []
  private state: OutboxState = { waiting: [], sent: [], refused: [], isMemoryOnly: false }
  private readonly listeners = new Set<() => void>()
  private readonly database: Promise<IDBPDatabase<Stored> | undefined>
  private isSending = false
  private nextKey = 1

  constructor() {
    this.database = this.open()
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }
  readonly snapshot = (): OutboxState => this.state

  /** Stores observations that belong together, all of them or none, then tries to send them in this order. */
  async add(observations: readonly Observation[]): Promise<void> {
    const database = await this.database
    const keys = database && (await keepAll(database, observations).catch(() => undefined))
    if (!keys) this.state = { ...this.state, isMemoryOnly: true }
    const added = observations.map((observation, i): Entry => {
      this.nextKey = Math.max(this.nextKey, keys?.[i] ?? 0) + 1
      return { key: keys?.[i] ?? -this.nextKey, observation }
    })
    this.entries = [...this.entries, ...added]
    this.publish()
    await this.send()
  }

  /**
   * Sends the waiting observations until none is left, also those added while a request runs. Two windows may send the same one: the
   * server stores each id once.
   * @returns whether anything was sent.
   */
  async send(): Promise<boolean> {
    if (this.isSending) return false
    this.isSending = true
    const before = this.sent
    const next = () => this.entries.filter(({ refused }) => refused === undefined).slice(0, MAX_AT_ONCE)
    try {
      let isAnswered = true
      for (let waiting = next(); isAnswered && waiting.length > 0; waiting = next()) isAnswered = await this.sendTogether(waiting)
    } finally {
      this.isSending = false
    }
    return this.sent !== before
  }

  /** @returns whether the server answered; each observation is then sent or refused. */
  private async sendTogether(entries: readonly Entry[]): Promise<boolean> {
    try {
      const body = { observations: entries.map(({ observation }) => observation) }
      await request(z.unknown(), '/observations/many', { method: 'POST', body })
    } catch (error) {
      return isRefusal(error) && this.refuse(entries, error)
    }
    await this.markSent(entries)
    return true
  }

  /** Several that are refused together are sent one by one, so that a bad one does not hold up the others. */
  private async refuse(entries: readonly Entry[], error: ApiError): Promise<boolean> {
    const [only] = entries
    if (entries.length === 1 && only) {
      await this.keep(only, { refused: error.message })
      this.entries = this.entries.map((each) => (each.key === only.key ? { ...each, refused: error.message } : each))
      this.publish()
      return true
    }
    for (const entry of entries)
      try {
        await request(z.unknown(), '/observations', { method: 'POST', body: entry.observation })
        await this.markSent([entry])
      } catch (each) {
        if (!isRefusal(each)) return false
        await this.refuse([entry], each)
      }
    return true
  }

  private async markSent(entries: readonly Entry[]): Promise<void> {
    const keys = new Set(entries.map(({ key }) => key))
    for (const entry of entries) await this.keep(entry, { isSent: true })
    this.entries = this.entries.filter(({ key }) => !keys.has(key))
    this.sent = [...this.sent, ...entries]
    const database = await this.database
    for (const { key } of this.sent.slice(0, -MAX_SENT)) if (key > 0) await database?.delete('outbox', key)
    this.sent = this.sent.slice(-MAX_SENT)
    this.publish()
  }

  /** Stores the state of an observation. If the browser’s storage is full the old state stays, and it is sent again after a reload. */
  private async keep({ key, observation }: Entry, state: { refused: string } | { isSent: true }): Promise<void> {
    const database = await this.database
    if (key > 0) await database?.put('outbox', { observation, ...state }, key).catch(() => undefined)
  }

  private async open(): Promise<IDBPDatabase<Stored> | undefined> {
    try {
      const database = await openDB<Stored>('wide-reach', 1, {
        upgrade: (old) => void old.createObjectStore('outbox', { autoIncrement: true }),
      })
      const keys = await database.getAllKeys('outbox')
      const values = await database.getAll('outbox')
      const read = (wasSent: boolean) =>
        values.flatMap(({ observation, refused, isSent = false }, i): Entry[] => {
          const parsed = observationSchema.safeParse(observation)
          return isSent === wasSent && parsed.success ? [{ key: keys[i]!, observation: parsed.data, refused }] : []
        })
      this.entries = [...read(false), ...this.entries]
      this.sent = [...read(true), ...this.sent]
      this.publish()
      return database
    } catch {
      this.state = { ...this.state, isMemoryOnly: true }
      this.publish()
      return undefined
    }
  }

  private publish(): void {
    this.state = {
      ...this.state,
      sent: this.sent.map(({ observation }) => observation),
      waiting: this.entries.filter(({ refused }) => refused === undefined).map(({ observation }) => observation),
      refused: this.entries.flatMap(({ observation, refused }) => (refused === undefined ? [] : [{ observation, why: refused }])),
    }
    for (const listener of this.listeners) listener()
  }
}

async function keepAll(database: IDBPDatabase<Stored>, observations: readonly Observation[]): Promise<number[]> {
  const transaction = database.transaction('outbox', 'readwrite')
  const keys = observations.map((observation) => transaction.store.add({ observation }))
  const [stored] = await Promise.all([Promise.all(keys), transaction.done])
  return stored
}

/** One for the whole page. */
const box = new Outbox()

/** The outbox of this browser; while a page uses it, what waits is tried again and again. */
export function useOutbox() {
  const client = useQueryClient()
  const state = useSyncExternalStore(box.subscribe, box.snapshot)
  useEffect(() => {
    const send = async () => {
      if (await box.send()) await client.invalidateQueries(OBSERVATIONS)
    }
    void send()
    const timer = setInterval(() => void send(), TRY_MS)
    const onOnline = () => void send()
    window.addEventListener('online', onOnline)
    return () => {
      clearInterval(timer)
      window.removeEventListener('online', onOnline)
    }
  }, [client])
  return {
    ...state,
    add: async (observations: readonly Observation[]) => {
      await box.add(observations)
      await client.invalidateQueries(OBSERVATIONS)
    },
  }
}
