/** What a browser may give, and where it is used. */
export const ABILITY_WORDS = {
  offline: 'opening without a server or network',
  kept: 'a promise to keep the workshop when room runs short',
  awake: 'a screen that stays awake at the bench',
  camera: 'a live camera',
  motion: 'the phone’s motion',
  scale: 'a scale at the serial port',
} as const;
