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
import { BeforeAfter } from './BeforeAfter.tsx';
import { RustShare } from './RustShare.tsx';

interface Props {
  readonly view: InspectView;
  /** Of one finding; null: all of the part. */
  readonly findingId: string | null;
}

/** Pictures of the part or of what was found. */
export function Pictures({ view, findingId }: Props) {
  const [shown, setShown] = useState<FactOf<'pictured'> | null>(null);
  const own = view.pictures.filter((p) => findingId === null || p.body.findingId === findingId);
  const frame = findingId === null ? 'border border-line bg-panel p-3' : '';
  return (
    <section aria-label="Pictures" className={`flex flex-col gap-2 ${frame}`}>
      <h3 className="text-[16px]">Pictures</h3>
      {findingId === null ? <BeforeAfter view={view} pictures={own} /> : null}
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
      <AddPicture view={view} findingId={findingId} />
      {shown ? (
        <Viewer view={view} findingId={findingId} picture={shown} onClose={() => setShown(null)} />
      ) : null}
    </section>
  );
}

/** From the camera or a file; what it shows is said beside it. */
function AddPicture({ view, findingId }: Props) {
  const [stage, setStage] = useState<PictureStage>('during');
  const save = useSave();
  const store = usePicture();
  const take = (files: FileList | null): void => {
    const [file] = files ?? [];
    if (!file) return;
    const about = { partId: view.card.partId, partName: view.card.name, face: null };
    save.run(() => store(file, about, findingId === null ? { stage } : { findingId, stage }));
  };
  return (
    <>
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
    </>
  );
}

interface ViewerProps extends Props {
  readonly picture: FactOf<'pictured'>;
  readonly onClose: () => void;
}

/** One picture, as large as the page; and how much of what it shows is rust. */
function Viewer({ view, findingId, picture, onClose }: ViewerProps) {
  const [isRust, setRust] = useState(false);
  const { pictureId } = picture.body;
  const words = wordsOf(picture, view.zone);
  return (
    <Panel title={view.card.name} subtitle={words} onClose={onClose}>
      {isRust ? (
        <RustShare view={view} pictureId={pictureId} findingId={findingId} onStored={onClose} />
      ) : (
        <>
          <img src={pictureUrl(pictureId)} alt={words} className="w-full" />
          <Button className="mt-3" onClick={() => setRust(true)}>
            How much of it is rust?
          </Button>
        </>
      )}
    </Panel>
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
