/** A frame is drawn by then, or the page is not looked at, ms. */
const FRAME_MS = 200;

/**
 * Does something in a task of its own, once what is there by now was drawn.
 * @returns takes it back, if it has not been done
 */
export const onceDrawn = (act: () => void): (() => void) => {
  let isOver = false;
  const once = (): void => {
    if (!isOver) act();
    isOver = true;
  };
  requestAnimationFrame(() => setTimeout(once));
  setTimeout(once, FRAME_MS);
  return () => {
    isOver = true;
  };
};
