import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { importShop, loadDemo } from '../../api/client.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { problemsOf } from '../../record/refusal.ts';
import { useSend } from '../../record/useSend.ts';
import { newShopWrite } from '../../record/write.ts';
import { Button } from '../../ui/Button.tsx';
import { newId } from '../../ui/newId.ts';
import { ShopForm, usualShop } from '../settings/ShopForm.tsx';
import { Doorway } from './Doorway.tsx';
import { Heading } from '../../ui/Heading.tsx';

/** The first page of an empty Calvetta: look round, begin, or bring what there is. */
export default function StartScreen() {
  const [door, setDoor] = useState<'own' | 'file' | null>(null);
  return (
    <div className="mx-auto flex max-w-[1080px] flex-col gap-5 p-6 max-md:p-3">
      <header>
        <p className="figure text-[20px]">Calvetta</p>
        <Heading title={['Start here']} className="text-[28px] leading-tight">
          Start here
        </Heading>
        <p className="text-quiet">
          Nothing is in it yet. Look round first, begin with your own shop, or bring one you have.
        </p>
      </header>
      <div className="grid items-start gap-4 md:grid-cols-3">
        <DemoDoor />
        <Door
          art="own"
          title="Start our own shop"
          text="Five short steps; every one can be left out and done later."
        >
          {door === 'own' ? (
            <OwnShop />
          ) : (
            <Button look="main" onClick={() => setDoor('own')}>
              Start our own shop
            </Button>
          )}
        </Door>
        <Door
          art="file"
          title="Bring a shop file"
          text="What “Whole shop as JSON” wrote, here or on another machine. All of it comes in, or nothing."
        >
          {door === 'file' ? (
            <BringFile />
          ) : (
            <Button onClick={() => setDoor('file')}>Bring a shop file</Button>
          )}
        </Door>
      </div>
    </div>
  );
}

interface DoorProps {
  readonly art: 'demo' | 'own' | 'file';
  readonly title: string;
  readonly text: string;
  readonly children: React.ReactNode;
}

function Door({ art, title, text, children }: DoorProps) {
  return (
    <section className="flex flex-col gap-3 border border-line bg-panel p-4" aria-label={title}>
      <Doorway art={art} />
      <h2 className="text-[20px] leading-tight">{title}</h2>
      <p className="text-quiet">{text}</p>
      {children}
    </section>
  );
}

/** Everything is asked for anew once there is a shop. */
function useArrive() {
  const client = useQueryClient();
  const navigate = useNavigate();
  return async (to: string): Promise<void> => {
    await client.resetQueries();
    await navigate(to);
  };
}

function DemoDoor() {
  const save = useSave();
  const arrive = useArrive();
  return (
    <Door
      art="demo"
      title="Look round with the demo"
      text="A small works on an estuary: five invented machines in every state, two weeks of its air. One touch removes it again."
    >
      <Button disabled={save.isBusy} onClick={() => save.run(loadDemo, () => void arrive('/'))}>
        {save.isBusy ? 'Loading the demo…' : 'Load the demo'}
      </Button>
      <FormTrouble words={save.trouble} />
    </Door>
  );
}

function OwnShop() {
  const send = useSend();
  const save = useSave();
  const arrive = useArrive();
  const [workshopId] = useState(() => `shop-${newId().slice(0, 12)}`);
  return (
    <ShopForm
      first={usualShop()}
      button="Begin"
      save={save}
      onStore={(shop) =>
        save.run(
          () => send(newShopWrite({ workshopId, ...shop }), `Begun: ${shop.name}`),
          () => void arrive('/start/people'),
        )
      }
    />
  );
}

/** A backup is packed; a shop file is not. */
const isBackup = (bytes: Uint8Array): boolean => bytes[0] === 0x1f && bytes[1] === 0x8b;

/** What makes a file no JSON, and where. */
function whyNoJson(text: string): string | null {
  try {
    JSON.parse(text);
    return null;
  } catch (error) {
    const at = Number(/position (\d+)/.exec(String(error))?.[1] ?? text.length);
    const line = text.slice(0, at).split('\n').length;
    return `This is no shop file: line ${line} cannot be read as JSON. Choose the file that “Whole shop as JSON” wrote.`;
  }
}

function BringFile() {
  const save = useSave();
  const arrive = useArrive();
  const [problem, setProblem] = useState<string | null>(null);
  const bring = async (file: File): Promise<void> => {
    setProblem(null);
    save.clear();
    if (isBackup(new Uint8Array(await file.slice(0, 2).arrayBuffer()))) {
      setProblem(
        'This is a backup, with every reading in it. Stop Calvetta and put it back with bin/restore FILE: it checks that not a row is missing.',
      );
      return;
    }
    const text = await file.text();
    const why = whyNoJson(text);
    if (why === null)
      save.run(
        () => importShop(text),
        () => void arrive('/'),
      );
    else setProblem(why);
  };
  const problems = problemsOf(save.refused);
  return (
    <div className="flex flex-col gap-2">
      <label className="flex flex-col gap-1">
        <span className="figure text-[13px] text-quiet">The file</span>
        <input
          type="file"
          accept=".json,application/json,.gz"
          disabled={save.isBusy}
          onChange={(e) => {
            const file = e.target.files?.[0];
            // The same file, mended, can be chosen again.
            e.target.value = '';
            if (file) void bring(file);
          }}
        />
      </label>
      {save.isBusy ? <p role="status">Reading it…</p> : null}
      <FormTrouble words={problem ?? save.trouble} />
      {problems.length > 0 ? (
        <ul className="max-h-60 overflow-y-auto border border-line p-2 text-[13px]">
          {problems.map((p) => (
            <li key={`${p.field}${p.code}`}>
              {p.field}: {JSON.stringify(p.got)} · accepted: {p.accepts}
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}
