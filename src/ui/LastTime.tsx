/** What to change, from the piece before: where the eye falls first. */
export const LastTime = ({
  last,
}: {
  readonly last: { readonly name: string; readonly notes: string } | null;
}) =>
  last && (
    <p role="note" className="no-print border-l-4 border-wanted bg-soap px-4 py-1.5">
      <span className="text-[13px] text-chalk">To change this time, from “{last.name}”: </span>
      <span className="font-semibold whitespace-pre-line">{last.notes}</span>
    </p>
  );
