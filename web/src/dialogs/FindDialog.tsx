import { useEffect, useEffectEvent, useRef, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { useDialogs } from '../state/dialogs.ts';
import { Panel } from '../ui/Panel.tsx';
import { find, type Found } from './find.ts';
import { useFindables } from './useFindables.ts';

const MOST = 12;
function howMany(found: number, isWhole: boolean): string {
  if (found > MOST) return `${found - MOST} more: write another word`;
  if (found > 0) return '';
  return isWhole ? 'Nothing here has these words.' : 'Looking…';
}

/** Finds whatever has a name, by any of its words; “coat buffer beam” opens the coat. Arrows and Enter are enough. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const { items, isWhole } = useFindables();
  const navigate = useNavigate();
  const show = useDialogs((s) => s.show);
  const [text, setText] = useState('');
  const list = useRef<HTMLUListElement>(null);
  // Enter before the list was whole goes to its first as soon as it is: a rule of the same name must not come before the part.
  const [isAwaited, setAwaited] = useState(false);
  const found = find(items, text);
  const go = ({ item, act }: Found): void => {
    if (act !== null && item.partId !== undefined) {
      show({ kind: 'log', partId: item.partId, factKind: act.kind });
      return;
    }
    onClose();
    void navigate(item.to);
  };
  const first = found[0];
  const goFirst = useEffectEvent(() => {
    if (first) go(first);
  });
  useEffect(() => {
    if (isAwaited && isWhole) goFirst();
  }, [isAwaited, isWhole]);
  const step = (e: KeyboardEvent, from: number): void => {
    const by = e.key === 'ArrowDown' ? 1 : e.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    e.preventDefault();
    const buttons = list.current?.querySelectorAll('button');
    buttons?.[Math.max(0, from + by)]?.focus();
  };
  return (
    <Panel title="Find" subtitle="parts, machines, places, tins, products, rules, people" onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          setAwaited(text.trim() !== '');
        }}
      >
        <input
          autoFocus
          aria-label="What to find"
          placeholder="frame, saltern epoxy, coat buffer beam…"
          className="mb-3 w-full text-[16px]"
          value={text}
          onChange={(e) => {
            setText(e.target.value);
            setAwaited(false);
          }}
          onKeyDown={(e) => step(e, -1)}
        />
      </form>
      <ul ref={list}>
        {found.slice(0, MOST).map((f, i) => (
          <li key={`${f.act?.kind ?? ''}${f.item.what}${f.item.to}${f.item.name}${f.item.beside}`}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-line text-left hover:bg-ground focus:bg-ground"
              onClick={() => go(f)}
              onKeyDown={(e) => step(e, i)}
            >
              <span>
                {f.act === null ? null : <span className="figure capitalize">{f.act.word}: </span>}
                <strong>{f.item.name}</strong>{' '}
                <span className="text-quiet">{f.item.beside === '' ? '' : `· ${f.item.beside}`}</span>
              </span>
              <span className="text-[13px] text-quiet">{f.item.what}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-quiet" role="status">
        {text.trim() === '' ? '' : howMany(found.length, isWhole)}
      </p>
    </Panel>
  );
}
