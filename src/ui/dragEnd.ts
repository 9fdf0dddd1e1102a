let isEnd = false;

/** Says that something was let go of: the click that the browser makes of it means nothing. */
export const noteDragEnd = (): void => {
  isEnd = true;
};

/** Whether something was let go of since it was asked last. */
export const takeDragEnd = (): boolean => {
  const was = isEnd;
  isEnd = false;
  return was;
};
