import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useMachines } from '../api/queries.ts';
import { Panel } from '../ui/Panel.tsx';
import { StateWord } from '../ui/StateWord.tsx';

const MOST = 12;

/** Finds a part by any words of its name, machine, assembly or product. */
export function FindDialog({ onClose }: { readonly onClose: () => void }) {
  const machines = useMachines();
  const navigate = useNavigate();
  const [text, setText] = useState('');
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const parts = (machines.data?.machines ?? []).flatMap((m) => m.assemblies.flatMap((a) => a.parts));
  const found = parts.filter((p) => {
    const hay =
      `${p.name} ${p.machineName} ${p.assemblyName} ${p.lastCoat?.name ?? ''} ${p.next?.name ?? ''} ${p.headline}`.toLowerCase();
    return words.every((w) => hay.includes(w));
  });
  const go = (partId: string): void => {
    onClose();
    void navigate(`/parts/${encodeURIComponent(partId)}`);
  };
  return (
    <Panel title="Find a part" onClose={onClose}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (found[0]) go(found[0].partId);
        }}
      >
        <input
          autoFocus
          aria-label="Part, machine or product"
          placeholder="frame, saltern, epoxy…"
          className="mb-3 w-full text-[16px]"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </form>
      <ul>
        {found.slice(0, MOST).map((p) => (
          <li key={p.partId}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center justify-between gap-3 border-b border-line text-left hover:bg-ground"
              onClick={() => go(p.partId)}
            >
              <span>
                <strong>{p.name}</strong>{' '}
                <span className="text-quiet">
                  · {p.machineName} · {p.assemblyName}
                </span>
              </span>
              <StateWord headline={p.headline} />
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-quiet">
        {found.length > MOST
          ? `${found.length - MOST} more: write another word`
          : found.length === 0 && machines.data
            ? 'No part has these words.'
            : ''}
      </p>
    </Panel>
  );
}
