import { toString as codeText } from 'qrcode';
import { ABILITY_WORDS } from '../src/words/abilities';

/** What is said of an address at which the other devices of the house find it: as a code for their cameras, and what browsers withhold there. */
export const houseWords = async (address: string): Promise<string> =>
  [
    await codeText(address, { type: 'terminal', small: true, errorCorrectionLevel: 'L' }),
    `The other devices of the house open ${address}, or take the code above with their camera.`,
    'Each device has a workshop of its own there: carry yours over by file. Nothing is sent to this computer but requests for the application.',
    `Browsers withhold some of it at such an address: ${Object.values(ABILITY_WORDS).join('; ')}. docs/hosting.md says how to get them at home.`,
  ].join('\n');
