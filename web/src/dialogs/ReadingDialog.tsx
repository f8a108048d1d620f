import { useState } from 'react';
import { dewMargin, rhFromWetBulbPct, type Psychrometer, type QuantityField as Asked } from '@calvetta/core';
import type { PlaceInfo } from '@calvetta/contract';
import { usePlaces, useShop } from '../api/queries.ts';
import { failureWords } from '../forms/failureWords.ts';
import { Choice } from '../forms/Field.tsx';
import { QuantityField } from '../forms/fields.tsx';
import { FormTrouble } from '../forms/FormTrouble.tsx';
import { maybe, quantity, type Read } from '../forms/read.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useSend } from '../record/useSend.ts';
import { readingWrite } from '../record/write.ts';
import { usePrefs } from '../state/prefs.ts';
import { Button } from '../ui/Button.tsx';
import { Panel } from '../ui/Panel.tsx';
import { Waiting } from '../ui/Trouble.tsx';
import { useUnits } from '../ui/useUnits.ts';

interface Props {
  readonly placeId: string | null;
  readonly onClose: () => void;
}

/** A person's own reading of a place: hygrometer, or the two thermometers of a psychrometer. */
export function ReadingDialog({ placeId, onClose }: Props) {
  const shop = useShop();
  const [chosen, setChosen] = useState(placeId);
  const places = usePlaces();
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

const temperature = (field: string, maxC: number, bareUnit: 'C' | 'F'): Asked => ({
  field,
  dimension: 'temperature',
  bareUnit,
  min: -40,
  max: maxC,
  plausibleMin: -25,
  plausibleMax: 45,
  otherUnit: bareUnit === 'C' ? 'F' : 'C',
});
const HUMIDITY: Asked = { field: 'humidity', dimension: 'percent', bareUnit: '%', min: 1, max: 100 };

interface Reading {
  readonly airC: number;
  readonly rhPct: number;
  readonly surfaceC: number | null;
}

/** The humidity, or why the two thermometers cannot both be right. */
function humidityOf(instrument: Instrument, airC: number, second: number, altitudeM: number): Read<number> {
  if (instrument === 'hygrometer') return { ok: true, value: second };
  const r = rhFromWetBulbPct(airC, second, altitudeM, instrument);
  if (r.ok) return r;
  const isRange = r.error.code === 'out-of-range';
  return { ok: false, problem: isRange ? failureWords(r.error) : 'wet and dry bulb contradict each other' };
}

function ReadingForm({ place, onClose }: { readonly place: PlaceInfo; readonly onClose: () => void }) {
  const units = useUnits();
  const send = useSend();
  const save = useSave();
  const bareUnit = usePrefs((s) => s.units.temperature);
  const [instrument, setInstrument] = useState<Instrument>('hygrometer');
  const isHygrometer = instrument === 'hygrometer';
  const draft = useDraft(
    {
      airC: quantity(temperature('air', 50, bareUnit)),
      second: quantity(isHygrometer ? HUMIDITY : temperature('wet bulb', 50, bareUnit)),
      surfaceC: maybe(quantity(temperature('surface', 120, bareUnit))),
    },
    { airC: '', second: '', surfaceC: '' },
  );
  const v = draft.values;
  const rh = v && humidityOf(instrument, v.airC, v.second, place.altitudeM);
  const reading = v && rh?.ok ? { airC: v.airC, rhPct: rh.value, surfaceC: v.surfaceC } : null;
  const store = (): void => {
    if (!draft.read() || !reading) return;
    const tidy = (x: number): number => Number(x.toFixed(2));
    const write = readingWrite(place.placeId, {
      at: new Date().toISOString(),
      airC: tidy(reading.airC),
      rhPct: tidy(reading.rhPct),
      surfaceC: reading.surfaceC === null ? null : tidy(reading.surfaceC),
    });
    save.run(() => send(write, `Reading stored: ${place.name}`), onClose);
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        store();
      }}
    >
      <Choice label="Instrument" value={instrument} options={INSTRUMENTS} onChange={setInstrument} />
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        <QuantityField
          label={isHygrometer ? 'Air' : 'Dry bulb'}
          hint={`in °${bareUnit}, or write ${bareUnit === 'C' ? '62 F' : '17 C'}`}
          bound={draft.bind('airC')}
          refused={save.problemAt('airC')}
          autoFocus
        />
        <QuantityField
          label={isHygrometer ? 'Humidity, %' : 'Wet bulb'}
          bound={draft.bind('second')}
          refused={rh && !rh.ok ? rh.problem : save.problemAt('rhPct')}
        />
        <QuantityField
          label="Metal, if touched"
          hint="leave empty if not measured"
          bound={draft.bind('surfaceC')}
          refused={save.problemAt('surfaceC')}
        />
      </div>
      <p className="figure min-h-6 text-[18px]" aria-live="polite">
        {reading ? previewWords(reading, units) : ''}
      </p>
      <FormTrouble words={save.trouble} />
      <Button type="submit" look="main" className="self-start" disabled={save.isBusy}>
        Store reading
      </Button>
    </form>
  );
}

function previewWords(r: Reading, units: ReturnType<typeof useUnits>): string {
  const m = dewMargin(r.airC, r.rhPct, r.surfaceC ?? r.airC);
  const dew = `${m.kind} point ${units.temp(m.dewPointC)}, ${r.rhPct.toFixed(0)} % RH`;
  return r.surfaceC === null
    ? dew
    : `${dew}, metal ${units.kelvin(m.marginK)} ± ${units.spread(m.uncertaintyK)} above it`;
}
