/** Sound of the pacer: a tick, or a spoken number where the browser can. Session state: made at the first sound. */
let context: AudioContext | null = null;

const TICK = { hertz: 880, last: 1320, seconds: 0.05, loud: 0.25 } as const;

/** A short tick; the last of a set is higher. Silent where there is no sound. */
export const tick = (isLast: boolean): void => {
  if (typeof AudioContext === 'undefined') return;
  context ??= new AudioContext();
  const tone = context.createOscillator();
  const volume = context.createGain();
  tone.frequency.value = isLast ? TICK.last : TICK.hertz;
  volume.gain.setValueAtTime(TICK.loud, context.currentTime);
  volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + TICK.seconds);
  tone.connect(volume).connect(context.destination);
  tone.start();
  tone.stop(context.currentTime + TICK.seconds);
};

/** Whether this browser can speak. */
export const canSpeak = (): boolean => typeof speechSynthesis !== 'undefined';

/** Says a few words; what was still being said is left off, so that a number is never late. */
export const say = (words: string): void => {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  speechSynthesis.speak(new SpeechSynthesisUtterance(words));
};
