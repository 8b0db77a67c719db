/** Tones and a voice, where the device has them; nothing is missed without. */
export class Sounds {
  on = true;
  private audio: AudioContext | null = null;

  /** Must come from a press: devices keep quiet otherwise. */
  wake() {
    try {
      this.audio ??= new AudioContext();
      void this.audio.resume();
    } catch {
      this.audio = null;
    }
  }

  tone(hertz: number, sec: number) {
    const audio = this.audio;
    if (!this.on || !audio) return;
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    tone.frequency.value = hertz;
    loud.gain.setValueAtTime(0.25, audio.currentTime);
    loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + sec);
    tone.connect(loud).connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + sec);
  }

  say(words: string) {
    if (!this.on || typeof speechSynthesis === "undefined") return;
    speechSynthesis.cancel();
    const said = new SpeechSynthesisUtterance(words);
    said.lang = "en";
    speechSynthesis.speak(said);
  }

  hush() {
    if (typeof speechSynthesis !== "undefined") speechSynthesis.cancel();
  }
}
