import { useState } from 'react';
import { Link } from 'react-router';
import { reasonChain, type PlanAsk, type PlanBlock, type PlanLane, type PlanView } from '@calvetta/core';
import { BIND_WORDS } from '@calvetta/contract/words';
import { Field } from '../../forms/Field.tsx';
import { Button } from '../../ui/Button.tsx';
import { fromLocalInput, toLocalInput } from '../../ui/time.ts';
import { PartDaysForm } from './PartDaysForm.tsx';
import { airWords, blockWords, slackWords, spanWords, timeWords } from './planWords.ts';
import type { NotPinned } from './usePlanner.ts';

interface Props {
  readonly view: PlanView;
  readonly opId: string;
  readonly notPinned: NotPinned | null;
  readonly onBlock: (opId: string) => void;
  readonly onMove: (opId: string, sessionMs: number, fromMs?: number) => void;
  readonly onUnpin: (opId: string) => void;
  readonly onAsk: (ask: PlanAsk) => void;
}

/** One piece of work: when, between which edges, why not earlier, and how it is moved. */
export function WorkPanel({ view, opId, notPinned, onBlock, onMove, onUnpin, onAsk }: Props) {
  const lane = view.lanes.find((l) => l.blocks.some((b) => b.opId === opId));
  const block = lane?.blocks.find((b) => b.opId === opId);
  if (!lane || !block) return null;
  const isPinned = view.ask.pins.some((p) => p.opId === opId);
  const at = view.sessions.findIndex(
    (s) => s.fromMs <= block.spans[0]!.fromMs && block.spans[0]!.fromMs < s.toMs,
  );
  const [before, here, after] = [view.sessions[at - 1], view.sessions[at], view.sessions[at + 1]];
  return (
    <section aria-label="The chosen work" className="flex flex-col gap-1 border-b border-line pb-2">
      <h2 className="text-[18px] leading-tight">
        <Link to={`/parts/${encodeURIComponent(lane.partId)}`} className="underline underline-offset-2">
          {lane.name}
        </Link>
        : {blockWords(block)}
      </h2>
      <p className="figure">
        {block.spans.map((s) => spanWords(s, view)).join(', then ')}
        {isPinned ? ' · pinned' : ''}
      </p>
      <Edges block={block} view={view} />
      <Why view={view} opId={opId} onBlock={onBlock} />
      {block.isMend ? null : (
        <div className="flex flex-wrap gap-2">
          <Button isInRow disabled={!before} onClick={() => before && onMove(opId, before.fromMs)}>
            Earlier
          </Button>
          <Button isInRow disabled={!after} onClick={() => after && onMove(opId, after.fromMs)}>
            Later
          </Button>
          {isPinned ? (
            <Button isInRow onClick={() => onUnpin(opId)}>
              Take the pin out
            </Button>
          ) : (
            <Button isInRow disabled={!here} onClick={() => here && onMove(opId, here.fromMs)}>
              Pin it here
            </Button>
          )}
        </div>
      )}
      {block.isMend || !here ? null : (
        <AtTime
          key={opId}
          block={block}
          session={here}
          view={view}
          onAt={(fromMs) => onMove(opId, here.fromMs, fromMs)}
        />
      )}
      <PartDaysForm
        key={`${lane.partId} ${JSON.stringify(view.ask.parts ?? null)}`}
        partId={lane.partId}
        partName={lane.name}
        ask={view.ask}
        onAsk={onAsk}
      />
      {notPinned?.opId === opId ? <No view={view} block={block} no={notPinned} onMove={onMove} /> : null}
    </section>
  );
}

/** Work of a session that is not to be begun before an hour: somebody comes late, or a delivery does. */
function AtTime({
  block,
  session,
  view,
  onAt,
}: {
  readonly block: PlanBlock;
  readonly session: PlanView['sessions'][number];
  readonly view: PlanView;
  readonly onAt: (fromMs: number) => void;
}) {
  const [text, setText] = useState(toLocalInput(block.spans[0]!.fromMs, view.zone));
  const atMs = fromLocalInput(text, view.zone);
  const isIn = atMs !== null && session.fromMs <= atMs && atMs < session.toMs;
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (isIn) onAt(atMs);
      }}
    >
      <Field label="Not before, in this session" problem={isIn ? null : 'Within the session.'}>
        <input type="datetime-local" value={text} onChange={(e) => setText(e.target.value)} />
      </Field>
      <Button isInRow type="submit" disabled={!isIn}>
        Pin it to then
      </Button>
    </form>
  );
}

function Edges({ block, view }: { readonly block: PlanBlock; readonly view: PlanView }) {
  const { coat } = block;
  if (!coat) return null;
  const at = (ms: number): string => timeWords(ms, view);
  return (
    <p className="text-[13px]">
      {coat.opensMs === null ? 'On bare metal' : `Open from ${at(coat.opensMs)}`}
      {coat.shutsMs === null
        ? ''
        : `, ${coat.opensMs === null ? 'which is out' : 'shut'} ${at(coat.shutsMs)}`}
      : {slackWords(block)}. Touch-dry {at(coat.touchMs)}
      {coat.handleMs === null ? '' : `, may be handled ${at(coat.handleMs)}`}. All at the worst.{' '}
      {airWords(block)}.
    </p>
  );
}

/** What binds it, and what binds that, back to now: the longest reason. */
function Why({ view, opId, onBlock }: Pick<Props, 'view' | 'opId' | 'onBlock'>) {
  const chain = reasonChain(view, opId);
  const find = (id: string): { lane: PlanLane; block: PlanBlock } | null => {
    for (const lane of view.lanes) {
      const block = lane.blocks.find((b) => b.opId === id);
      if (block) return { lane, block };
    }
    return null;
  };
  return (
    <details>
      <summary className="cursor-pointer pointer-fine:py-1">
        Not earlier: {BIND_WORDS[chain[0]?.binds.by ?? 'now']}
        {chain[0]?.binds.edgeMs == null ? '' : ` (${timeWords(chain[0].binds.edgeMs, view)})`}.
      </summary>
      <ol className="flex flex-col border-l-2 border-line pl-2">
        {chain.map((r) => {
          const found = find(r.opId);
          return found ? (
            <li key={r.opId} className="text-[13px]">
              <button
                type="button"
                className="text-left underline-offset-2 hover:underline"
                onClick={() => onBlock(r.opId)}
              >
                {found.lane.name}: {blockWords(found.block)}, {spanWords(found.block.spans[0]!, view)}
              </button>
              : {BIND_WORDS[r.binds.by]}
            </li>
          ) : null;
        })}
      </ol>
    </details>
  );
}

/** Why it cannot be there: earlier, what binds it now; later, its own window or what follows it. */
function whyNot(view: PlanView, block: PlanBlock, no: NotPinned): string {
  const edge = no.edgeMs === null ? '' : ` (${timeWords(no.edgeMs, view)})`;
  if (no.sessionMs < block.spans[0]!.fromMs)
    return no.by === null ? 'It cannot be earlier.' : `It cannot be earlier: ${BIND_WORDS[no.by]}${edge}.`;
  const shutsMs = block.coat?.shutsMs ?? null;
  return shutsMs !== null && shutsMs < no.sessionMs
    ? `It cannot be so late: its window shuts ${timeWords(shutsMs, view)}.`
    : 'It cannot be then: there is no room for it, or what follows it would find no place.';
}

function No({
  view,
  block,
  no,
  onMove,
}: {
  readonly view: PlanView;
  readonly block: PlanBlock;
  readonly no: NotPinned;
  readonly onMove: (opId: string, sessionMs: number) => void;
}) {
  return (
    <div role="alert" className="border-l-4 border-bad pl-2 text-[13px]">
      <p>{whyNot(view, block, no)}</p>
      {no.nearestMs === null ? (
        <p>No session near it would do.</p>
      ) : (
        <Button isInRow onClick={() => onMove(no.opId, no.nearestMs!)}>
          Move it to {timeWords(no.nearestMs, view)} instead
        </Button>
      )}
    </div>
  );
}
