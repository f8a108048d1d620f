import { ACT_KEYS, GO_KEYS } from '../shell/keys.ts';
import { Panel } from '../ui/Panel.tsx';

export function KeysDialog({ onClose }: { readonly onClose: () => void }) {
  const go = Object.entries(GO_KEYS).map(([k, p]) => [`g ${k}`, `go to ${p.word}`] as const);
  return (
    <Panel title="Keys" onClose={onClose}>
      <dl className="grid grid-cols-[100px_1fr] gap-y-2">
        {[...ACT_KEYS, ...go].map(([key, word]) => (
          <div key={key} className="contents">
            <dt>
              <kbd className="figure border border-line bg-ground px-2 py-0.5">{key}</kbd>
            </dt>
            <dd>{word}</dd>
          </div>
        ))}
      </dl>
    </Panel>
  );
}
