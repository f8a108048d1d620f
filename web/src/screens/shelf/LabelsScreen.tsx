import { Link, useSearchParams } from 'react-router';
import type { TinView } from '@calvetta/contract';
import { useShelf } from '../../api/queries.ts';
import { Button } from '../../ui/Button.tsx';
import { QrCode } from '../../ui/QrCode.tsx';
import { Waiting } from '../../ui/Trouble.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { tinName } from '../../words/tinWords.ts';
import { Heading } from '../../ui/Heading.tsx';

const day = (ms: number | null): string =>
  ms === null ? 'not known' : new Date(ms).toISOString().slice(0, 10);

/** Labels to print and stick on tins: scan one and its tin opens on the shelf, ready to be weighed. */
export default function LabelsScreen() {
  const shelf = useShelf();
  const [params] = useSearchParams();
  if (!shelf.data) return <Waiting isPage error={shelf.error} what="shelf" />;
  const only = params.getAll('tin');
  const tins = shelf.data.tins.filter((t) => !t.isBinned && (only.length === 0 || only.includes(t.tinId)));
  return (
    <div className="p-4">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Heading title={['Tin labels', 'Shelf']}>Tin labels</Heading>
        <p className="text-quiet">{tins.length} labels; scan one to weigh its tin</p>
        <Link className="underline" to="/shelf">
          back to the shelf
        </Link>
        <Button look="main" className="ml-auto" onClick={() => print()}>
          Print
        </Button>
      </div>
      <ul
        aria-label="Labels"
        className="mt-3 grid grid-cols-1 gap-2 sm:grid-cols-2 lg:grid-cols-3 print:grid-cols-3"
      >
        {tins.map((t) => (
          <Label key={t.tinId} tin={t} />
        ))}
      </ul>
    </div>
  );
}

function Label({ tin }: { readonly tin: TinView }) {
  const units = useUnits();
  const url = `${location.origin}/shelf?tin=${encodeURIComponent(tin.tinId)}`;
  return (
    <li className="flex break-inside-avoid gap-3 border border-line bg-white p-2 text-black">
      <QrCode text={url} alt={`Code that opens ${tinName(tin)}`} />
      <div className="min-w-0 text-[13px]">
        <p className="figure text-[16px] leading-tight">{tinName(tin)}</p>
        <p>
          batch {tin.batch ?? '—'} · {units.volume(tin.sizeMl)}
        </p>
        <p>made {day(tin.madeMs)}</p>
        <p>opened {tin.openedMs === null ? '____________' : day(tin.openedMs)}</p>
        <p>
          good until {tin.expiry.atMs === null ? '—' : day(tin.expiry.atMs)}
          {tin.expiry.by === 'opened' ? ', opened' : ''}
        </p>
      </div>
    </li>
  );
}
