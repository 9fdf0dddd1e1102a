import { useEffect } from 'react';
import { Link } from 'react-router';

/** How often a view that did not come is asked for again. */
const AGAIN_MS = 5_000;
/** What browsers say when a part of the application did not come. */
const NOT_LOADED = /dynamically imported module|importing a module script failed|loading css chunk/i;

/** Asks for the page until the server or the network is back, and then loads it anew. */
const useTryAgain = (isOn: boolean): void => {
  useEffect(() => {
    if (!isOn) return;
    const ask = (): void => {
      fetch(window.location.href, { method: 'HEAD', cache: 'no-store' }).then(
        reply => reply.ok && window.location.reload(),
        () => undefined,
      );
    };
    const timer = setInterval(ask, AGAIN_MS);
    window.addEventListener('online', ask);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', ask);
    };
  }, [isOn]);
};

/** An address that leads nowhere, or a view that failed. Nothing is lost by it. */
export const NotHere = ({ error }: { readonly error: unknown }) => {
  const isNotLoaded = error instanceof Error && NOT_LOADED.test(error.message);
  useTryAgain(isNotLoaded);
  return (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">
        {isNotLoaded
          ? 'Jorrit is offline, and this view is not here yet.'
          : error
            ? 'This view could not be shown.'
            : 'There is no page at this address.'}
      </h1>
      {isNotLoaded ? (
        <p className="mt-2">It is tried again by itself as soon as the server or the network is back.</p>
      ) : (
        error instanceof Error && <p className="mt-2">{error.message}</p>
      )}
      <p className="mt-2">Everything you entered is kept.</p>
      <Link to="/" className="mt-3 inline-block underline">
        Back to the table
      </Link>
    </div>
  );
};
