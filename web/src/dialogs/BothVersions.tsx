import type { FactView } from '@calvetta/contract';
import { Button } from '../ui/Button.tsx';

interface Props {
  readonly theirs: FactView;
  readonly mine: Record<string, unknown>;
  readonly onTheirs: () => void;
  readonly onMine: () => void;
}

const lines = (body: Readonly<Record<string, unknown>>): string[] =>
  Object.entries(body).map(([k, v]) => `${k}: ${String(v)}`);

/** Two people corrected the same entry: both are shown, neither is lost. */
export function BothVersions({ theirs, mine, onTheirs, onMine }: Props) {
  return (
    <div className="grid grid-cols-2 gap-3 border border-line p-3">
      <section>
        <h3 className="text-[15px]">Stored first, by {theirs.personId}</h3>
        {lines({ ...theirs.body }).map((l) => (
          <p key={l}>{l}</p>
        ))}
        <Button className="mt-2" onClick={onTheirs}>
          Keep theirs
        </Button>
      </section>
      <section>
        <h3 className="text-[15px]">Yours</h3>
        {lines(mine).map((l) => (
          <p key={l}>{l}</p>
        ))}
        <Button className="mt-2" onClick={onMine}>
          Correct theirs with mine
        </Button>
      </section>
    </div>
  );
}
