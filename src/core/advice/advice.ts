import type { RollDirection } from '../cycles/entry';
import type { GaugeStand } from '../forecast/forecast';

/** Why an act is proposed. The words are the interface's. */
export type Reason =
  | 'dry-face'
  | 'no-skin-yet'
  | 'skin-to-test'
  | 'measure-due'
  | 'least-worked'
  | 'direction-lags'
  | 'nearly-there'
  | 'size-reached-soft'
  | 'size-and-firm'
  | 'too-small'
  | 'way-to-go'
  | 'look-again'
  | 'does-not-fit'
  | 'as-near-as-it-gets'
  | 'at-its-limit';

/** One next act. It never commands: any other act is as easy. */
export type Advice = { readonly reason: Reason; readonly about?: GaugeStand } & (
  | { readonly act: 'wet'; readonly face: number }
  | { readonly act: 'rub'; readonly face: number; readonly count: number }
  | { readonly act: 'pinch' }
  | { readonly act: 'measure' }
  | {
      readonly act: 'roll';
      readonly face: number;
      readonly directionDeg: RollDirection;
      readonly rolls: number;
    }
  | { readonly act: 'throw'; readonly count: number }
  | { readonly act: 'stretch' }
  | { readonly act: 'stop' }
);
