import type { LessonsAnswers, LessonsRequest } from './lessons.protocol.ts'
import { runJob } from './runJob.ts'

type Asked<K extends LessonsRequest['kind']> = Extract<LessonsRequest, { kind: K }>

export function runLessons<K extends LessonsRequest['kind']>(
  input: Asked<K>,
  signal: AbortSignal,
  onProgress: (share: number) => void,
): Promise<LessonsAnswers[K]> {
  const worker = new Worker(new URL('./lessons.worker.ts', import.meta.url), { type: 'module' })
  return runJob<Asked<K>, LessonsAnswers[K]>(worker, input, signal, onProgress)
}
