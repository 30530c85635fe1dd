const TONE_HZ = 880
const TONE_S = 0.25

let audio: AudioContext | undefined

/** Browsers let a page sound only after it was touched: called by a touch. */
export function allowSound(): void {
  audio ??= typeof AudioContext === 'undefined' ? undefined : new AudioContext()
  void audio?.resume()
}

/** Three short tones, where sound was allowed, and a vibration where the device can. */
export function signal(): void {
  navigator.vibrate?.([300, 150, 300])
  if (audio?.state !== 'running') return
  for (const count of [0, 1, 2]) {
    const tone = audio.createOscillator()
    const volume = audio.createGain()
    const startS = audio.currentTime + count * 2 * TONE_S
    tone.frequency.value = TONE_HZ
    volume.gain.setValueAtTime(0.4, startS)
    volume.gain.exponentialRampToValueAtTime(0.001, startS + TONE_S)
    tone.connect(volume).connect(audio.destination)
    tone.start(startS)
    tone.stop(startS + TONE_S)
  }
}
