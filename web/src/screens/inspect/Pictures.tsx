import { useState } from 'react';
import { PICTURE_STAGES, rustDegree, type FactOf, type InspectView, type PictureStage } from '@calvetta/core';
import { pictureUrl } from '../../api/client.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { useSave } from '../../forms/useSave.ts';
import { usePicture } from '../../record/usePicture.ts';
import { Button } from '../../ui/Button.tsx';
import { OneOf } from '../../ui/Toggle.tsx';
import { Panel } from '../../ui/Panel.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { RustShare } from './RustShare.tsx';
import { BeforeAfter } from './BeforeAfter.tsx';

interface Props {
  readonly view: InspectView;
  /** Of one finding; null: all of the part. */
  readonly findingId: string | null;
}

/** Pictures of the part or of what was found: from the camera or a file, each upright and without where it was taken. */
export function Pictures({ view, findingId }: Props) {
  const [stage, setStage] = useState<PictureStage>('during');
  const [shown, setShown] = useState<FactOf<'pictured'> | null>(null);
  const [isRust, setRust] = useState(false);
  const save = useSave();
  const store = usePicture();
  const { partId, name } = view.card;
  const own = view.pictures.filter((p) => findingId === null || p.body.findingId === findingId);
  const take = (files: FileList | null): void => {
    const [file] = files ?? [];
    if (!file) return;
    const about = { partId, partName: name, face: null };
    save.run(() => store(file, about, findingId === null ? { stage } : { findingId, stage }));
  };
  return (
    <section
      aria-label="Pictures"
      className={
        findingId === null ? 'flex flex-col gap-2 border border-line bg-panel p-3' : 'flex flex-col gap-2'
      }
    >
      <h3 className="text-[16px]">Pictures</h3>
      {findingId === null ? <BeforeAfter pictures={own} /> : null}
      {own.length > 0 ? (
        <ul className="flex flex-wrap gap-2">
          {own.map((p) => (
            <li key={p.factId}>
              <button
                type="button"
                className="block border border-line hover:border-ink"
                onClick={() => setShown(p)}
              >
                <img
                  src={`${pictureUrl(p.body.pictureId)}/thumb`}
                  alt={wordsOf(p, view.zone)}
                  loading="lazy"
                  className="h-[84px] w-auto"
                />
                {rustOf(view, p)}
              </button>
            </li>
          ))}
        </ul>
      ) : null}
      <div className="flex flex-wrap items-center gap-2">
        <label className="figure inline-flex min-h-11 cursor-pointer items-center rounded-sm border border-ink/60 px-4 text-[15px] focus-within:outline-2 hover:border-ink">
          {save.isBusy ? 'Storing…' : 'Add a picture'}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp"
            className="sr-only"
            disabled={save.isBusy}
            onChange={(e) => {
              take(e.target.files);
              e.target.value = '';
            }}
          />
        </label>
        <OneOf<PictureStage>
          label="What it shows"
          size="small"
          value={stage}
          onChange={setStage}
          options={PICTURE_STAGES.map((s) => ({ value: s, text: s }))}
        />
      </div>
      <FormTrouble words={save.problemAt('file') ?? save.trouble} />
      {shown ? (
        <Panel
          title={name}
          subtitle={wordsOf(shown, view.zone)}
          onClose={() => {
            setRust(false);
            setShown(null);
          }}
        >
          {isRust ? (
            <RustShare
              view={view}
              pictureId={shown.body.pictureId}
              findingId={findingId}
              onStored={() => {
                setRust(false);
                setShown(null);
              }}
            />
          ) : (
            <>
              <img
                src={pictureUrl(shown.body.pictureId)}
                alt={wordsOf(shown, view.zone)}
                className="w-full"
              />
              <Button className="mt-3" onClick={() => setRust(true)}>
                How much of it is rust?
              </Button>
            </>
          )}
        </Panel>
      ) : null}
    </section>
  );
}

/** What was measured on a picture, under it. */
function rustOf(view: InspectView, p: FactOf<'pictured'>) {
  const measured = view.rust.findLast((r) => r.body.pictureId === p.body.pictureId);
  return measured ? (
    <span className="figure block px-1 text-[13px]">
      rust {measured.body.sharePct.toFixed(1)} %, Ri {rustDegree(measured.body.sharePct)}
    </span>
  ) : null;
}

const wordsOf = (p: FactOf<'pictured'>, zone: string): string =>
  [p.body.stage, dayAndTime(p.happenedAtMs, zone), p.body.note].filter((w) => w !== undefined).join(', ');
