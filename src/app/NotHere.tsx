import { Link, useRouteError } from 'react-router';

/** An address that leads nowhere, or a view that failed. Nothing is lost by it. */
export const NotHere = () => {
  const error = useRouteError();
  return (
    <div className="p-8">
      <h1 className="text-3xl font-semibold">
        {error ? 'This view could not be shown.' : 'There is no page at this address.'}
      </h1>
      {error instanceof Error && <p className="mt-2">{error.message}</p>}
      <p className="mt-2">Everything you entered is kept.</p>
      <Link to="/" className="mt-3 inline-block underline">
        Back to the table
      </Link>
    </div>
  );
};
