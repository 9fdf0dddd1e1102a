import { notifyManager } from '@tanstack/react-query';

let isPrompt = false;

// What is read is told to the views together, a little later; what a hand changed, at once.
notifyManager.setScheduler(tell => {
  if (isPrompt) tell();
  else setTimeout(tell, 0);
});

/**
 * Shows a change before the next key or tap is heard: two quick steps of a handle are then two steps, and none is
 * reckoned from what stood on the screen before. Session state.
 */
export const promptly = (show: () => void): void => {
  isPrompt = true;
  try {
    show();
  } finally {
    isPrompt = false;
  }
};
