import { useEffect, useRef } from 'react';
import { WAITED } from '../words/finishing';
import { useNotify } from './notices';
import { useNow } from './useNow';
import { useRack } from './useRack';

const LOOKS_MS = 15_000;

/** Tells once when a wait is over while the application is open. @param onOpen what the notice offers: going there */
export const useRackBell = (onOpen: (pieceId: string) => void): void => {
  const places = useRack();
  const nowMs = useNow(LOOKS_MS);
  const { tell } = useNotify();
  const lookedMs = useRef(nowMs);
  useEffect(() => {
    const over = places.find(
      ({ wait }) => wait.untilMs !== null && wait.untilMs > lookedMs.current && wait.untilMs <= nowMs,
    );
    lookedMs.current = nowMs;
    if (!over) return;
    const { piece, wait } = over;
    tell({
      text: `${piece.name}: ${WAITED[wait.step] ?? 'time is up.'}`,
      action: { label: 'Go there', run: () => onOpen(piece.id) },
      stays: true,
    });
  }, [places, nowMs, tell, onOpen]);
};
