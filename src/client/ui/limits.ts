/** A check for a quantity field: above `least`, and no more than `most`, both SI. */
export const above = (least: number, most: number) => (si: number) =>
  si > least && si <= most ? undefined : si <= least ? 'Must be more than 0.' : 'Too large.'

/** A check for a quantity field: between the two, both SI; else the message. */
export const within = (least: number, most: number, message: string) => (si: number) =>
  si >= least && si <= most ? undefined : message

/** The same where nothing is allowed too. */
export const notBelow = (most: number) => (si: number) =>
  si >= 0 && si <= most ? undefined : si < 0 ? 'Must not be negative.' : 'Too large.'
