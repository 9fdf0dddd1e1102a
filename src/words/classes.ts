/** Stages of a class, as they are told. */
export const TAUGHT_WORDS = {
  lay: 'Lay the wool',
  felt: 'Felt it',
  finish: 'Rinse and shape it',
} as const;

/** A number of minutes after a time of day. @example timeAfter('14:00', 95) // 15:35 */
export const timeAfter = (startsAt: string, minutes: number): string => {
  const [hour = 0, minute = 0] = startsAt.split(':').map(Number);
  const all = (hour * 60 + minute + Math.round(minutes)) % (24 * 60);
  return `${String(Math.floor(all / 60)).padStart(2, '0')}:${String(all % 60).padStart(2, '0')}`;
};
