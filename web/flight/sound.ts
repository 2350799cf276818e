// Cues for the ear, made in the browser: a beep or a spoken word when a finger is due, a tone that follows how far a subject strays.
// Nothing is told by sound alone.
export class Sound {
  private context: AudioContext | null = null;
  private tone: { oscillator: OscillatorNode; gain: GainNode } | null = null;
  muted = false;

  /** Browsers give sound only after a press. */
  wake(): void {
    try {
      this.context ??= new AudioContext();
      void this.context.resume();
    } catch {
      this.context = null;
    }
  }

  beep(high = false): void {
    const { context } = this;
    if (context === null || this.muted) return;
    const oscillator = context.createOscillator();
    const gain = context.createGain();
    oscillator.frequency.value = high ? 880 : 587;
    gain.gain.setValueAtTime(0.12, context.currentTime);
    gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.18);
    oscillator.connect(gain).connect(context.destination);
    oscillator.start();
    oscillator.stop(context.currentTime + 0.2);
  }

  /** Says it where the browser has a voice; else it beeps. */
  say(words: string): void {
    if (this.muted) return;
    const voice = typeof speechSynthesis === 'undefined' ? null : speechSynthesis;
    if (voice === null || voice.getVoices().length === 0) {
      this.beep(true);
      return;
    }
    const utterance = new SpeechSynthesisUtterance(words);
    utterance.rate = 1.2;
    voice.speak(utterance);
  }

  /** A tone for how far the subject strays from its mark, 0 (none) to 1 (out of the frame); null for silence. */
  stray(share: number | null): void {
    const { context } = this;
    if (share === null || this.muted || context === null || share < 0.02) {
      if (this.tone !== null && context !== null)
        this.tone.gain.gain.setTargetAtTime(0, context.currentTime, 0.05);
      return;
    }
    if (this.tone === null) {
      const oscillator = context.createOscillator();
      const gain = context.createGain();
      gain.gain.value = 0;
      oscillator.connect(gain).connect(context.destination);
      oscillator.start();
      this.tone = { oscillator, gain };
    }
    this.tone.oscillator.frequency.setTargetAtTime(220 + 440 * Math.min(1, share), context.currentTime, 0.05);
    this.tone.gain.gain.setTargetAtTime(0.02 + 0.06 * Math.min(1, share), context.currentTime, 0.05);
  }

  close(): void {
    this.tone?.oscillator.stop();
    this.tone = null;
    void this.context?.close().catch(() => {});
    this.context = null;
    if (typeof speechSynthesis !== 'undefined') speechSynthesis.cancel();
  }
}
