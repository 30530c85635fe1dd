/** What cannot be worked out, and why. */
export const Trouble = ({ message }: { message: string }) => (
  <p role="alert" className="rounded-lg border border-watch bg-sheet p-3">
    It cannot be drawn: {message}
  </p>
)
