import {
  FIRMNESS_MARKS,
  firmnessName,
  PRESSED_GRADES,
  pressedFeltDensity,
} from '../../core/chain/firmnessScale';
import { Why } from '../../ui/Why';
import { FIRMNESS_WORDS, firmnessText } from '../../words/firmness';

/** The ends of the scale, g/cm³. */
const [LEAST, MOST] = [0.05, 0.36];
const NAMES = ['drapes', 'supple', 'sturdy', 'hard'] as const;
const share = (density: number): number => Math.max(0, Math.min(1, (density - LEAST) / (MOST - LEAST)));

/** How firm the felt is to be, in words and on a scale. Trade grades of pressed felt are behind "Why?". */
export const FirmnessScale = ({ density }: { readonly density: number | null }) => (
  <div className="mt-2 flex items-center gap-3 pl-11">
    <svg
      viewBox="0 0 300 36"
      className="w-full"
      role="img"
      aria-label={density === null ? 'Firmness not known' : `Firmness: ${firmnessText(density, 'metric')}`}
    >
      <line x1={4} x2={296} y1={26} y2={26} className="stroke-rim" strokeWidth={2} />
      {NAMES.map(name => {
        const x = 4 + 292 * share(FIRMNESS_MARKS[name]);
        const isThis = density !== null && firmnessName(density) === name;
        return (
          <g key={name}>
            <line x1={x} x2={x} y1={18} y2={26} className="stroke-chalk" strokeWidth={1.5} />
            <text
              x={x}
              y={13}
              textAnchor="middle"
              className={`text-[12px] ${isThis ? 'fill-ink font-bold' : 'fill-chalk'}`}
            >
              {FIRMNESS_WORDS[name]}
            </text>
          </g>
        );
      })}
      {density !== null && <path d={`M${4 + 292 * share(density)} 26l-6 -11h12z`} className="fill-ink" />}
    </svg>
    <Why of="this scale">
      <p>Grams per cm³. Hand felt is usually between 0.10 and 0.35 (common practice).</p>
      <ul className="mt-1">
        {NAMES.map(name => (
          <li key={name}>
            {FIRMNESS_MARKS[name].toFixed(2)} {FIRMNESS_WORDS[name]}{' '}
            <span className="text-chalk">(common practice)</span>
          </li>
        ))}
        {PRESSED_GRADES.map(pounds => (
          <li key={pounds}>
            {pressedFeltDensity(pounds).toFixed(3)} pressed felt, {pounds} lb{' '}
            <span className="text-chalk">(grade by weight, ASTM D2475 / SAE J314, from memory)</span>
          </li>
        ))}
      </ul>
    </Why>
  </div>
);
