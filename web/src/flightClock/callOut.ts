import type { Voice } from '../state/preferences';

let audio: AudioContext | null = null;

/** A short tone, twice for the stop. A browser lets a page sound only after it was touched, which lifting off is. */
function tone(times: number): void {
  audio ??= new AudioContext();
  for (let i = 0; i < times; i++) {
    const beep = audio.createOscillator();
    const volume = audio.createGain();
    beep.frequency.value = 880;
    volume.gain.value = 0.2;
    beep.connect(volume).connect(audio.destination);
    beep.start(audio.currentTime + i * 0.35);
    beep.stop(audio.currentTime + i * 0.35 + 0.2);
  }
}

export function callOut(voice: Voice, words: string, isStop: boolean): void {
  if (voice === 'tone') tone(isStop ? 2 : 1);
  if (voice === 'voice' && 'speechSynthesis' in window) {
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  }
}
