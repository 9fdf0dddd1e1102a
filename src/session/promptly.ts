import { notifyManager } from '@tanstack/react-query';

let isPrompt = false;

// What is read is told to the views together, a little later; what a hand changed, at once.
notifyManager.setScheduler(tell => {
  if (isPrompt) tell();
  else setTimeout(tell, 0);
});

/**
 * Tells the views of a change before the next key or tap is heard: what they draw calmly can then be brought to the screen first (`drawNow`), two
 * quick steps of a handle are two steps, and none is reckoned from what stood there before. Session state.
 */
export const promptly = (show: () => void): void => {
  isPrompt = true;
  try {
    show();
  } finally {
    isPrompt = false;
  }
};
