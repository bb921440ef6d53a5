let context: AudioContext | null = null;

/** A browser lets nothing sound before somebody has touched the page: any touch in the cook's view is that. */
export function allowSound(): void {
  try {
    context ??= new AudioContext();
    void context.resume();
  } catch {
    // a browser without sound still shows it
  }
}

/** Three short tones, made here: no file to load. */
export function ring(): void {
  allowSound();
  const now = context;
  if (now === null || now.state !== 'running') return;
  [0, 0.35, 0.7].forEach((at) => {
    const tone = now.createOscillator();
    const loudness = now.createGain();
    tone.frequency.value = 880;
    loudness.gain.value = 0.3;
    tone.connect(loudness).connect(now.destination);
    tone.start(now.currentTime + at);
    tone.stop(now.currentTime + at + 0.2);
  });
}

export const hasVoice = (): boolean => 'speechSynthesis' in window;

/** Says it aloud, and breaks off what it was saying. */
export function speak(text: string): void {
  window.speechSynthesis.cancel();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = 'en';
  window.speechSynthesis.speak(words);
}
