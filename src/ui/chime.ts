/** Three short tones; nothing where the browser plays none before the page was touched. */
export function chime(): void {
  const sound = new AudioContext();
  const start = sound.currentTime;
  for (const [i, pitch] of [660, 880, 660].entries()) {
    const [tone, loudness] = [sound.createOscillator(), sound.createGain()];
    tone.frequency.value = pitch;
    loudness.gain.setValueAtTime(0.2, start + i * 0.35);
    loudness.gain.exponentialRampToValueAtTime(0.001, start + i * 0.35 + 0.3);
    tone.connect(loudness).connect(sound.destination);
    tone.start(start + i * 0.35);
    tone.stop(start + i * 0.35 + 0.3);
  }
  setTimeout(() => void sound.close(), 1500);
}
