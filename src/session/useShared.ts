import { replaceEqualDeep } from '@tanstack/react-query';
import { useState } from 'react';

/**
 * A value worked out anew whose parts that came out the same are those of before: what is drawn from a part is not drawn again.
 * @param value held while nothing changed, or it is drawn without end; plain lists, objects and figures; of anything else only the whole is told apart
 */
export const useShared = <T>(value: T): T => {
  const [seen, setSeen] = useState({ value, shared: value });
  if (seen.value === value) return seen.shared;
  const shared = replaceEqualDeep(seen.shared, value);
  setSeen({ value, shared });
  return shared;
};
