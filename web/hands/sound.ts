let context: AudioContext | null = null

/** Three notes of a spoon on a glass, and a buzz on a phone that can. Called by a press first: before that a browser is mute. */
export function sound() {
  context ??= new AudioContext()
  void context.resume()
  for (const [i, hertz] of [880, 1175, 1568].entries()) {
    const at = context.currentTime + i * 0.35
    const note = context.createOscillator()
    const loud = context.createGain()
    note.frequency.value = hertz
    loud.gain.setValueAtTime(0.0001, at)
    loud.gain.exponentialRampToValueAtTime(0.5, at + 0.02)
    loud.gain.exponentialRampToValueAtTime(0.0001, at + 1.2)
    note.connect(loud).connect(context.destination)
    note.start(at)
    note.stop(at + 1.3)
  }
  navigator.vibrate?.([300, 150, 300])
}
