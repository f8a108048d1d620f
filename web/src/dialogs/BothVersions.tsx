import type { Fact } from '@calvetta/core';
import type { FactInput } from '@calvetta/contract';
import { FACT_WORDS, factDetail } from '@calvetta/contract/words';
import { useSheets, useShop } from '../api/queries.ts';
import { Button } from '../ui/Button.tsx';
import { useMoney } from '../ui/money.ts';
import { dayAndTime } from '../ui/time.ts';
import { useUnits } from '../ui/useUnits.ts';

interface Props {
  readonly theirs: Fact;
  readonly mine: FactInput;
  readonly zone: string;
  readonly onTheirs: () => void;
  readonly onMine: () => void;
}

/** Two people corrected the same entry: both are shown, neither is lost. */
export function BothVersions({ theirs, mine, zone, onTheirs, onMine }: Props) {
  const shop = useShop().data;
  const who = shop?.people.find((p) => p.personId === theirs.personId)?.name ?? theirs.personId;
  const mineMs = Date.parse(mine.endedAt ?? mine.happenedAt);
  return (
    <div role="alert" className="grid gap-3 border border-line p-3 sm:grid-cols-2">
      <section>
        <h3 className="text-[15px]">Stored first, by {who}</h3>
        <Said fact={theirs} endMs={theirs.endedAtMs ?? theirs.happenedAtMs} zone={zone} />
        <Button className="mt-2" onClick={onTheirs}>
          Keep theirs
        </Button>
      </section>
      <section>
        <h3 className="text-[15px]">Yours</h3>
        <Said fact={mine} endMs={mineMs} zone={zone} />
        <Button className="mt-2" onClick={onMine}>
          Correct theirs with mine
        </Button>
      </section>
    </div>
  );
}

interface SaidProps {
  readonly fact: Fact | FactInput;
  readonly endMs: number;
  readonly zone: string;
}
/** What an entry says, as the history says it. */
function Said({ fact, endMs, zone }: SaidProps) {
  const units = useUnits();
  const money = useMoney();
  const sheets = useSheets().data?.sheets;
  const places = useShop().data?.places;
  const { sheetId, placeId } = fact.body as { readonly sheetId?: string; readonly placeId?: string };
  const detail = factDetail(
    fact as Fact,
    {
      productName: sheets?.find((s) => s.sheetId === sheetId)?.name ?? null,
      placeName: places?.find((p) => p.placeId === placeId)?.name ?? null,
      mixText: null,
      stepName: null,
    },
    { film: units.film, temp: units.temp, money: money.price },
  );
  return (
    <p>
      <strong>{FACT_WORDS[fact.kind]}</strong>
      {fact.face === null ? '' : `, face ${fact.face}`} {detail}
      <span className="block text-[13px] text-quiet">{dayAndTime(endMs, zone)}</span>
    </p>
  );
}
