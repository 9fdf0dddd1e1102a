import { Link } from 'react-router';
import type { RecordRow } from '../../core/record/recordRow';
import { localDay } from '../../session/clock';
import { usePictureUrl } from '../../session/usePictures';
import { LongList } from '../../ui/LongList';
import { useRoomy } from '../../ui/useRoomy';

const ROW_PX = 270;

const One = ({ row, hash }: { readonly row: RecordRow; readonly hash: string }) => {
  const url = usePictureUrl(hash);
  return (
    <Link
      to={row.kind === 'project' ? `/projects/${row.id}` : `/pieces/${row.id}/diary`}
      className="group block min-w-0 flex-1"
    >
      <span className="block h-52 bg-rim/40">
        {url && <img src={url} alt="" className="h-full w-full object-cover" />}
      </span>
      <span className="block truncate font-semibold group-hover:underline">{row.name}</span>
      <span className="block text-[13px] text-chalk">{localDay(row.finishedAt)}</span>
    </Link>
  );
};

/** A wall of pictures: the last one of each finished piece; only those in sight are fetched. */
export const Wall = (props: {
  readonly rows: readonly RecordRow[];
  readonly pictures: ReadonlyMap<string, string>;
}) => {
  const { rows, pictures } = props;
  const [isWide, isMiddling] = [useRoomy('lg'), useRoomy('md')];
  const across = isWide ? 4 : isMiddling ? 3 : 2;
  if (rows.length === 0)
    return (
      <p className="max-w-prose text-lg">
        No finished piece has a picture yet. Tap <strong>Picture</strong> at its bench, or add one to its
        diary.
      </p>
    );
  const shelves = Array.from({ length: Math.ceil(rows.length / across) }, (_, i) =>
    rows.slice(i * across, (i + 1) * across),
  );
  return (
    <LongList
      className="min-h-64 flex-1"
      testId="wall"
      items={shelves}
      rowPx={ROW_PX}
      row={shelf => (
        <div key={shelf[0]?.id} className="flex h-[270px] gap-3">
          {shelf.map(r => (
            <One key={r.id} row={r} hash={pictures.get(r.id) ?? ''} />
          ))}
          {Array.from({ length: across - shelf.length }, (_, i) => (
            <span key={i} className="flex-1" />
          ))}
        </div>
      )}
    />
  );
};
