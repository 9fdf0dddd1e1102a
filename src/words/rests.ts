/** What helps the body at a rest. Common practice, not medical advice. */
export const REST_HINTS = [
  'Stand up straight, drop your shoulders, and let your arms hang.',
  'Put the other foot forward, and roll from the hips.',
  'Shake out your hands and circle your wrists both ways.',
  'Look into the distance and breathe out slowly.',
] as const;
