import { toast } from '../regional/toast.ts'

/** Puts a text on the clipboard and says so, or why it cannot. */
export const copyText = (text: string, said = 'Copied.'): void =>
  void navigator.clipboard
    .writeText(text)
    .then(() => toast(said))
    .catch(() => toast.error('The browser does not allow copying. Select the text instead.'))
