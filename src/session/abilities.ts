/** Something that a browser gives to a safe address only, or not at all. */
export interface Ability {
  readonly id: 'offline' | 'awake' | 'camera' | 'motion' | 'scale' | 'kept';
  readonly isHere: boolean;
}

const has = (of: object, name: string): boolean => Reflect.get(of, name) !== undefined;

/** What this browser gives at this address. A plain address of the house (http, no 127.0.0.1) is not safe in its eyes. */
export const abilities = (): { readonly isSafe: boolean; readonly all: readonly Ability[] } => ({
  isSafe: window.isSecureContext,
  all: [
    { id: 'offline', isHere: has(navigator, 'serviceWorker') },
    { id: 'kept', isHere: has(navigator, 'storage') },
    { id: 'awake', isHere: has(navigator, 'wakeLock') },
    { id: 'camera', isHere: has(navigator, 'mediaDevices') },
    { id: 'motion', isHere: window.isSecureContext && has(window, 'DeviceMotionEvent') },
    { id: 'scale', isHere: has(navigator, 'serial') },
  ],
});
