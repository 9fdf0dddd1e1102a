import type { FaultCause } from '../core/advice/faultCause';
import { type FaultId, faultOf } from '../core/advice/faults';

/** What is seen, why it likely came about, and what helps. All common practice. */
export interface FaultWords {
  readonly seen: string;
  readonly cause: string;
  readonly remedy: string;
}

export const FAULT_WORDS: Readonly<Record<FaultId, FaultWords>> = {
  thin: {
    seen: 'a thin spot or a hole',
    cause: 'uneven wisps, an edge, rubbed too soon, dents from the bubbles',
    remedy:
      'Stop rolling. Lay a thin wisp wider than the hole, wet it, press, and rub through net. Then press on.',
  },
  slides: {
    seen: 'fibres slide, the layout shifts',
    cause: 'too much water or soap, too much pressure',
    remedy: 'Blot it, press more lightly, put the net on.',
  },
  fluffy: {
    seen: 'it stays fluffy and forms no skin',
    cause: 'too dry, too cold, no soap, or a wool that does not felt',
    remedy: 'Add warm soapy water. If that does not help, felt a swatch of the wool on its own.',
  },
  foam: {
    seen: 'foam everywhere',
    cause: 'too much soap',
    remedy: 'Rinse some of it out and carry on.',
  },
  fold: {
    seen: 'a fold has felted in',
    cause: 'rolled crooked',
    remedy: 'Ease it apart at once with soap. If it will not come, cut it and heal the cut.',
  },
  stuck: {
    seen: 'front and back have stuck together, or the opening has closed',
    cause: 'the resist is too short, or came out too early',
    remedy: 'Ease it apart and put plastic back in between.',
  },
  long: {
    seen: 'one direction stays long',
    cause: 'rolled unevenly',
    remedy: 'Roll in the long direction only, and measure often.',
  },
  corner: {
    seen: 'a corner or an edge lags behind',
    cause: 'the bundle is loose there',
    remedy: 'Roll on its diagonal, and rub it on its own.',
  },
  ridge: {
    seen: 'a ridge at the edge of the resist',
    cause: 'the fold-over is too thick or too loose',
    remedy: 'Rub the edge. Next time, thin the fold-over out and pull it tight.',
  },
  crack: {
    seen: 'the ball has cracked, or shows a seam',
    cause: 'too dry, pressed too hard too early, wrapped loosely',
    remedy: 'Add a thin veil of wool and warm soapy water; roll very lightly.',
  },
  sausage: {
    seen: 'the ball has gone flat or sausage-shaped',
    cause: 'rolled one way only, or on a slippery surface',
    remedy: 'Roll it between your palms, always changing direction.',
  },
  soft: {
    seen: 'the ball is soft inside',
    cause: 'the skin formed too early, or the core is too loose',
    remedy: 'Use hot water; squeeze and roll. A machine wash can finish it.',
  },
  stalled: {
    seen: 'it has stopped shrinking',
    cause: 'too cold, too dry, too much cushion, or at its limit',
    remedy: 'Use hot water and a bare mat, and throw it. If it is dense, it is done.',
  },
  small: {
    seen: 'it is too small',
    cause: 'worked past its size',
    remedy: 'Stretch it wet over a form right away: a few per cent come back. Make a note for next time.',
  },
  unequal: {
    seen: 'the pair is unequal',
    cause: 'different weights of wool, or different amounts of work',
    remedy: 'Work the larger one on its own; measure both each round.',
  },
};

/** What a fault is called that was seen; of one that is not known, its id. */
export const faultName = (id: string): string => {
  const fault = faultOf(id);
  return fault ? FAULT_WORDS[fault.id].seen : id;
};

/** Why a fault likely came about, by the log. */
export const causeWords = (cause: FaultCause): string => {
  switch (cause.because) {
    case 'unequal-rolls':
      return `${cause.along} rolls lengthwise, ${cause.across} crosswise`;
    case 'rolled-early':
      return `rolled after only ${cause.rubs} rubs on a side`;
    case 'few-rubs':
      return `one side had only ${cause.rubs} rubs`;
    case 'dry-face':
      return 'not every side was wetted';
    case 'much-foam':
      return 'you saw a lot of foam';
    case 'pools':
      return 'you saw pools of water';
    case 'water':
      return `the water is ${cause.water}`;
  }
};
