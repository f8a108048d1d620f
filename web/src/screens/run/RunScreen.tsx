import { useBench, useSheets } from '../../api/queries.ts';
import { useRun } from '../../state/run.ts';
import { Waiting } from '../../ui/Trouble.tsx';
import { RackLive } from './RackLive.tsx';
import { RackSetUp } from './RackSetUp.tsx';

/** A gun-load: pulled together before, and told pass by pass while it is sprayed. Works with a plan and without. */
export default function RunScreen() {
  const bench = useBench();
  const sheets = useSheets();
  const rack = useRun((s) => s.rack);
  if (!sheets.data) return <Waiting isPage error={sheets.error} what="sheets" />;
  const sheet = rack && sheets.data.sheets.find((s) => s.sheetId === rack.sheetId);
  if (rack && sheet) return <RackLive rack={rack} sheet={sheet} bench={bench.data ?? null} />;
  if (!bench.data) return <Waiting isPage error={bench.error} what="bench" />;
  return <RackSetUp bench={bench.data} sheets={sheets.data.sheets} />;
}
