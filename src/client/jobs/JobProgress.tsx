import { Button } from '../ui/controls.tsx'

/** How far a piece of work is, and a way to stop it. */
export function JobProgress({ share, onStop }: { share: number; onStop: () => void }) {
  return (
    <div className="flex items-center gap-3">
      <progress className="flex-1" value={share} aria-label="Progress" />
      <Button onClick={onStop}>Stop</Button>
    </div>
  )
}
