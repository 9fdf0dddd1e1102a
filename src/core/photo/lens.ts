/** What is known of a camera before a picture is looked at, each with its deviation. Common practice: a phone’s main lens. */
export const LENS = {
  /** Focal length as if the picture were 36 mm long. */
  focal35: 27,
  focalSd: 0.06,
  bendSd: 0.014,
  /** Of the long side. */
  middleSd: 0.006,
} as const;
