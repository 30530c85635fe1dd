/** Hands the browser a text to keep as a file. */
export const download = (name: string, type: string, text: string): void => downloadFile(name, new Blob([text], { type }))

/** The same of a file as it came. */
export function downloadFile(name: string, file: Blob): void {
  const url = URL.createObjectURL(file)
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  URL.revokeObjectURL(url)
}

/** A name that any system takes for a file. */
export const fileName = (title: string, ending: string) =>
  `${title.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'trace'}.${ending}`
