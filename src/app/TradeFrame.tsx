import { NavLink, Outlet } from 'react-router';

const PLACES = [
  { to: '/orders', text: 'Orders' },
  { to: '/stock', text: 'Stock' },
  { to: '/classes', text: 'Classes' },
  { to: '/hours', text: 'Hours and money' },
] as const;

/** What a workshop that sells and teaches has beside its pieces. */
export const TradeFrame = () => (
  <>
    <nav
      aria-label="Orders, stock and classes"
      className="no-print flex flex-wrap border-b border-rim bg-steam px-4"
    >
      {PLACES.map(p => (
        <NavLink
          key={p.to}
          to={p.to}
          className="flex min-h-9 items-center px-3 aria-[current=page]:bg-ink aria-[current=page]:font-semibold aria-[current=page]:text-soap"
        >
          {p.text}
        </NavLink>
      ))}
    </nav>
    <Outlet />
  </>
);
