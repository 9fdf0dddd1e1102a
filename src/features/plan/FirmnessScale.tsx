import { FIRMNESS_SCALE } from '../../core/chain/firmnessScale';
import { Why } from '../../ui/Why';

const MOST = 0.4;
const share = (density: number): number => Math.min(1, density / MOST);

/** The firmness on its scale, with landmarks of hand felt above and pressed felt below. */
export const FirmnessScale = ({ density }: { readonly density: number | null }) => (
  <div className="mt-2 flex items-center gap-3 pl-11">
    <svg
      viewBox="0 0 300 50"
      className="w-full"
      role="img"
      aria-label={
        density === null ? 'Firmness not known' : `Firmness ${density.toFixed(2)} g/cm³ on a scale to ${MOST}`
      }
    >
      <line x1={4} x2={296} y1={26} y2={26} className="stroke-rim" strokeWidth={2} />
      {FIRMNESS_SCALE.map(mark => {
        const x = 4 + 292 * share(mark.density);
        const pressed = mark.name.startsWith('pressed');
        return (
          <g key={mark.name}>
            <line
              x1={x}
              x2={x}
              y1={pressed ? 26 : 18}
              y2={pressed ? 34 : 26}
              className="stroke-chalk"
              strokeWidth={1.5}
            />
            <text x={x} y={pressed ? 46 : 13} textAnchor="middle" className="fill-chalk text-[12px]">
              {pressed ? mark.name.replace('pressed felt, ', '') : mark.name}
            </text>
          </g>
        );
      })}
      {density !== null && <path d={`M${4 + 292 * share(density)} 26l-6 -11h12z`} className="fill-ink" />}
    </svg>
    <Why of="this scale">
      <p>Grams per cm³. Hand felt usually lies between 0.10 and 0.35 (common practice).</p>
      <ul className="mt-1">
        {FIRMNESS_SCALE.map(m => (
          <li key={m.name}>
            {m.density.toFixed(3)} {m.name} <span className="text-chalk">({m.source})</span>
          </li>
        ))}
      </ul>
    </Why>
  </div>
);
