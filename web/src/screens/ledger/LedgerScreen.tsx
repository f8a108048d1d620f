import { useSearchParams } from 'react-router';
import { Heading } from '../../ui/Heading.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { Hours } from './Hours.tsx';
import { Recall } from './Recall.tsx';
import { River } from './River.tsx';
import { Whole } from './Whole.tsx';

const VIEWS = [
  { value: 'river', text: 'What happened' },
  { value: 'recall', text: 'Recall a batch' },
  { value: 'hours', text: 'Hours and money' },
  { value: 'whole', text: 'Is it whole?' },
] as const;
type View = (typeof VIEWS)[number]['value'];
const isView = (v: string | null): v is View => VIEWS.some((x) => x.value === v);

/** The record: what happened, which parts carry a batch, what it took, and whether anybody rewrote it. */
export default function LedgerScreen() {
  const [params, setParams] = useSearchParams();
  const asked = params.get('view');
  const view: View = isView(asked) ? asked : 'river';
  return (
    <>
      <header className="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-line bg-panel px-4 py-3 print:hidden">
        <Heading title={['Ledger']}>Ledger</Heading>
        <OneOf<View>
          label="What of the record"
          size="line"
          className="flex flex-wrap"
          value={view}
          options={VIEWS}
          onChange={(v) => setParams(v === 'river' ? {} : { view: v })}
        />
      </header>
      <div className="p-4">
        {view === 'river' ? (
          <River />
        ) : view === 'recall' ? (
          <Recall />
        ) : view === 'hours' ? (
          <Hours />
        ) : (
          <Whole />
        )}
      </div>
    </>
  );
}
