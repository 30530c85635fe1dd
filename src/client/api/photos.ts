import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { newId } from './newId.ts'

/** A photo of a trip: it stays in this browser. */
export type Photo = { id: string; tripId: string; at: string; picture: Blob }

interface Stored extends DBSchema {
  photos: { key: string; value: Photo; indexes: { tripId: string } }
}

/** The largest that is kept of a photo, bytes, and its longer side, pixels. */
export const MAX_BYTES = 300_000
const MAX_SIDE = 1_600
/** Tried one after another until the photo is small enough. */
const QUALITIES = [0.85, 0.7, 0.55, 0.4, 0.25]
/** Photos of one trip. */
export const MAX_PHOTOS = 40

let database: Promise<IDBPDatabase<Stored>> | undefined
const photos = (): Promise<IDBPDatabase<Stored>> => {
  database ??= openDB<Stored>('wide-reach-photos', 1, {
    upgrade: (old) => void old.createObjectStore('photos', { keyPath: 'id' }).createIndex('tripId', 'tripId'),
  })
  return database
}

/** The photos of a trip, the first first. @throws where this browser keeps nothing. */
export const photosOf = async (tripId: string): Promise<Photo[]> =>
  (await (await photos()).getAllFromIndex('photos', 'tripId', tripId)).sort((a, b) => a.at.localeCompare(b.at))

/** Makes a photo small and keeps it in this browser. @throws Error in words, where it is no picture or nothing can be kept. */
export async function keepPhoto(tripId: string, file: File): Promise<void> {
  const picture = await smaller(file)
  const known = await photosOf(tripId).catch(notKept)
  if (known.length >= MAX_PHOTOS) throw new Error(`A trip can have up to ${MAX_PHOTOS} photos.`)
  const photo = { id: newId(), tripId, at: new Date().toISOString(), picture }
  await (await photos()).add('photos', photo).catch(notKept)
}

/** The browser’s own error message is technical and in its own language. */
function notKept(): never {
  throw new Error('The photo was not added. This browser has no room left for it, or keeps no photos.')
}

export const deletePhoto = async (id: string): Promise<void> => (await photos()).delete('photos', id)
export const restorePhoto = async (photo: Photo): Promise<void> => void (await (await photos()).put('photos', photo))

async function smaller(file: File): Promise<Blob> {
  const picture = await createImageBitmap(file).catch(() => undefined)
  if (!picture) throw new Error(`“${file.name}” is not a picture that this browser can read.`)
  const scale = Math.min(1, MAX_SIDE / Math.max(picture.width, picture.height))
  const canvas = new OffscreenCanvas(
    Math.max(1, Math.round(picture.width * scale)),
    Math.max(1, Math.round(picture.height * scale)),
  )
  canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  for (const quality of QUALITIES) {
    const made = await canvas.convertToBlob({ type: 'image/jpeg', quality })
    if (made.size <= MAX_BYTES) return made
  }
  throw new Error(`“${file.name}” cannot be made smaller than ${MAX_BYTES / 1000} kB.`)
}
