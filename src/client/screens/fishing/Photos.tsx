import { useQuery, useQueryClient } from '@tanstack/react-query'
import { Camera, X } from 'lucide-react'
import { useEffect, useMemo, useState } from 'react'
import { deletePhoto, keepPhoto, type Photo, photosOf, restorePhoto } from '../../api/photos.ts'
import { toast } from '../../regional/toast.ts'
import { useShow } from '../../settings/preferences.tsx'
import { Button, buttonClass, Sheet } from '../../ui/controls.tsx'

/** Photos of a trip. They stay in this browser, made small. */
export function Photos({ tripId, timeZone }: { tripId: string; timeZone: string | undefined }) {
  const client = useQueryClient()
  const queryKey = useMemo(() => ['photos', tripId], [tripId])
  const query = useQuery({ queryKey, queryFn: () => photosOf(tripId), retry: false })
  const [isBusy, setBusy] = useState(false)
  const refresh = () => void client.invalidateQueries({ queryKey })
  const keep = async (files: readonly File[]) => {
    setBusy(true)
    for (const file of files) await keepPhoto(tripId, file).catch((error: Error) => toast.error(error.message))
    setBusy(false)
    refresh()
  }
  return (
    <Sheet
      title="Photos"
      aside={
        <label className={`${buttonClass()} cursor-pointer`}>
          <Camera className="size-4" aria-hidden="true" /> {isBusy ? 'Adding …' : 'Add photos'}
          <input
            type="file"
            accept="image/*"
            multiple
            className="sr-only"
            disabled={isBusy}
            onChange={({ target }) => {
              void keep([...(target.files ?? [])])
              target.value = ''
            }}
          />
        </label>
      }
    >
      <p className="text-sm text-quiet">They stay on this device: not sent, and not in a backup.</p>
      {query.error && <p className="text-fails">This browser keeps no photos.</p>}
      <ul className="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
        {query.data?.map((photo) => (
          <OnePhoto
            key={photo.id}
            photo={photo}
            timeZone={timeZone}
            onDelete={() =>
              void deletePhoto(photo.id).then(() => {
                refresh()
                toast('The photo is deleted.', {
                  action: { label: 'Undo', onClick: () => void restorePhoto(photo).then(refresh) },
                })
              })
            }
          />
        ))}
      </ul>
    </Sheet>
  )
}

function OnePhoto({ photo, timeZone, onDelete }: { photo: Photo; timeZone: string | undefined; onDelete: () => void }) {
  const show = useShow()
  const [address, setAddress] = useState<string>()
  useEffect(() => {
    const made = URL.createObjectURL(photo.picture)
    setAddress(made)
    return () => URL.revokeObjectURL(made)
  }, [photo.picture])
  const time = `${show.date(new Date(photo.at))}, ${show.clock(Date.parse(photo.at), timeZone)}`
  return (
    <li className="relative">
      {address && <img src={address} alt={`Added ${time}`} className="aspect-square w-full rounded-md object-cover" />}
      <Button
        className="absolute top-1 right-1 min-h-13! min-w-13!"
        aria-label={`Delete the photo added ${time}`}
        onClick={onDelete}
      >
        <X className="size-4" aria-hidden="true" />
      </Button>
    </li>
  )
}
