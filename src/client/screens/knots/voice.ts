/** Whether this browser has a voice. */
export const canSpeak = (): boolean => typeof speechSynthesis !== 'undefined' && typeof SpeechSynthesisUtterance !== 'undefined'

/** Reads a sentence out; what is returned stops it. */
export function speak(sentence: string): (() => void) | undefined {
  if (!canSpeak()) return undefined
  const utterance = new SpeechSynthesisUtterance(sentence)
  utterance.lang = 'en'
  speechSynthesis.speak(utterance)
  return () => speechSynthesis.cancel()
}
