/** A text with a capital at its start. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
