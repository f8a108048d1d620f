import { useState } from 'react';
import {
  dewMargin,
  parseQuantity,
  rhFromWetBulbPct,
  type Psychrometer,
  type QuantityField,
} from '@calvetta/core';
import type { PlaceInfo } from '@calvetta/contract';
import { refusedWords } from '../record/refusedWords.ts';
import { useSend } from '../record/useSend.ts';
import { readingWrite } from '../record/write.ts';
import { useShop } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Choice, Field } from '../ui/Field.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { failureWords } from './failureWords.ts';

/** A person's own reading of a place: hygrometer, or the two thermometers of a psychrometer. */
export function ReadingDialog({
  placeId,
  onClose,
}: {
  readonly placeId: string | null;
  readonly onClose: () => void;
}) {
  const shop = useShop();
  const [chosen, setChosen] = useState(placeId);
  const places = shop.data?.places ?? [];
  const place = places.find((p) => p.placeId === chosen) ?? places[0];
  return (
    <Panel title="Log a reading" subtitle="a person’s own instrument" onClose={onClose}>
      {place ? (
        <div className="flex flex-col gap-4">
          <Choice
            label="Place"
            value={place.placeId}
            options={places.map((p) => ({ value: p.placeId, text: p.name }))}
            onChange={setChosen}
          />
          <ReadingForm place={place} onClose={onClose} />
        </div>
      ) : (
        <Waiting error={shop.error} what="workshop" />
      )}
    </Panel>
  );
}

type Instrument = 'hygrometer' | Psychrometer;
const INSTRUMENTS: readonly { readonly value: Instrument; readonly text: string }[] = [
  { value: 'hygrometer', text: 'hygrometer' },
  { value: 'aspirated', text: 'psychrometer, aspirated' },
  { value: 'sling', text: 'psychrometer, whirled' },
  { value: 'screen', text: 'wet bulb, still air' },
];

interface Read {
  readonly airC: number;
  readonly rhPct: number;
  readonly surfaceC: number | null;
}

function ReadingForm({ place, onClose }: { readonly place: PlaceInfo; readonly onClose: () => void }) {
  const units = useUnits();
  const send = useSend();
  const bareUnit = usePrefs((s) => s.units.temperature);
  const [instrument, setInstrument] = useState<Instrument>('hygrometer');
  const [air, setAir] = useState('');
  const [second, setSecond] = useState('');
  const [surface, setSurface] = useState('');
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const [isBusy, setBusy] = useState(false);

  const temperature = (field: string, minC: number, maxC: number): QuantityField => ({
    field,
    dimension: 'temperature',
    bareUnit,
    min: minC,
    max: maxC,
    plausibleMin: -25,
    plausibleMax: 45,
    otherUnit: bareUnit === 'C' ? 'F' : 'C',
  });
  const readAll = (): { readonly value: Read | null; readonly problems: Record<string, string> } => {
    const bad: Record<string, string> = {};
    const take = (name: string, text: string, field: QuantityField): number | null => {
      const r = parseQuantity(text, field);
      if (r.ok) return r.value.value;
      bad[name] = failureWords(r.error);
      return null;
    };
    const airC = take('air', air, temperature('air', -40, 50));
    const surfaceC =
      surface.trim() === '' ? null : take('surface', surface, temperature('surface', -40, 120));
    const rhPct =
      instrument === 'hygrometer'
        ? take('second', second, { field: 'humidity', dimension: 'percent', bareUnit: '%', min: 1, max: 100 })
        : wetToRh(
            airC,
            take('second', second, temperature('wet bulb', -40, 50)),
            instrument,
            place.altitudeM,
            bad,
          );
    return {
      value:
        airC === null || rhPct === null || Object.keys(bad).length > 0 ? null : { airC, rhPct, surfaceC },
      problems: bad,
    };
  };
  const preview = readAll().value;
  const save = (): void => {
    const { value, problems: bad } = readAll();
    setProblems(bad);
    if (!value) return;
    setBusy(true);
    const tidy = (x: number): number => Number(x.toFixed(2));
    send(
      readingWrite(place.placeId, {
        at: new Date().toISOString(),
        airC: tidy(value.airC),
        rhPct: tidy(value.rhPct),
        surfaceC: value.surfaceC === null ? null : tidy(value.surfaceC),
      }),
      `Reading stored: ${place.name}`,
    )
      .then(onClose)
      .catch((e: unknown) =>
        setProblems({ form: refusedWords(e, 'It could not be sent; it is still here. Try again.') }),
      )
      .finally(() => setBusy(false));
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        save();
      }}
    >
      <Choice label="Instrument" value={instrument} options={INSTRUMENTS} onChange={setInstrument} />
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <Field
          label={instrument === 'hygrometer' ? 'Air' : 'Dry bulb'}
          hint={`in °${bareUnit}, or write 62 F`}
          problem={problems['air'] ?? null}
        >
          <input autoFocus inputMode="text" value={air} onChange={(e) => setAir(e.target.value)} />
        </Field>
        <Field
          label={instrument === 'hygrometer' ? 'Humidity, %' : 'Wet bulb'}
          problem={problems['second'] ?? null}
        >
          <input inputMode="text" value={second} onChange={(e) => setSecond(e.target.value)} />
        </Field>
        <Field
          label="Metal, if touched"
          hint="leave empty if not measured"
          problem={problems['surface'] ?? null}
        >
          <input inputMode="text" value={surface} onChange={(e) => setSurface(e.target.value)} />
        </Field>
      </div>
      <p className="figure min-h-6 text-[18px]" aria-live="polite">
        {preview ? previewWords(preview, units) : ''}
      </p>
      {problems['form'] ? (
        <p role="alert" className="text-bad">
          {problems['form']}
        </p>
      ) : null}
      <Button type="submit" look="main" className="self-start" disabled={isBusy}>
        Store reading
      </Button>
    </form>
  );
}

function wetToRh(
  airC: number | null,
  wetC: number | null,
  kind: Psychrometer,
  altitudeM: number,
  bad: Record<string, string>,
): number | null {
  if (airC === null || wetC === null) return null;
  const r = rhFromWetBulbPct(airC, wetC, altitudeM, kind);
  if (r.ok) return r.value;
  bad['second'] =
    r.error.code === 'out-of-range' ? failureWords(r.error) : 'wet and dry bulb contradict each other';
  return null;
}

function previewWords(r: Read, units: ReturnType<typeof useUnits>): string {
  const m = dewMargin(r.airC, r.rhPct, r.surfaceC ?? r.airC);
  const dew = `${m.kind} point ${units.temp(m.dewPointC)}, ${r.rhPct.toFixed(0)} % RH`;
  return r.surfaceC === null
    ? dew
    : `${dew}, metal ${units.kelvin(m.marginK)} ± ${units.spread(m.uncertaintyK)} above it`;
}
