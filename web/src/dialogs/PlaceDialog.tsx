import { useState } from 'react';
import type { Exposure, PlaceInfo } from '@calvetta/core';
import { EXPOSURES } from '@calvetta/core';
import { EXPOSURE_WORDS } from '@calvetta/contract/words';
import { useShop } from '../api/queries.ts';
import { Choice } from '../forms/Field.tsx';
import { NumberField, QuantityField, SelectField, TextField } from '../forms/fields.tsx';
import { maybe, number, quantity, words } from '../forms/read.ts';
import { theirsOf } from '../forms/theirsOf.ts';
import { useDraft } from '../forms/useDraft.ts';
import { useSave } from '../forms/useSave.ts';
import { useThings } from '../record/useThings.ts';
import { usePrefs } from '../state/prefs.ts';
import { newId } from '../ui/newId.ts';
import { Panel } from '../ui/Panel.tsx';
import { useUnits } from '../ui/useUnits.ts';
import { SaveEnd } from './SaveEnd.tsx';

interface Props {
  readonly placeId: string | null;
  readonly onClose: () => void;
}

/** A place where parts stand: what the air does there. */
export function PlaceDialog({ placeId, onClose }: Props) {
  const shop = useShop();
  const place = shop.data?.places.find((p) => p.placeId === placeId) ?? null;
  const others = (shop.data?.places ?? []).filter((p) => !p.isAway && p.placeId !== placeId);
  return (
    <Panel
      title={placeId === null ? 'A place' : 'Edit the place'}
      subtitle="where parts stand: a booth, a shed, the yard"
      onClose={onClose}
    >
      <PlaceForm place={place} others={others} onClose={onClose} />
    </Panel>
  );
}

const placeWords = (p: PlaceInfo, temp: (c: number) => string): string =>
  [
    p.name,
    EXPOSURE_WORDS[p.exposure],
    p.setpointC === null ? 'not heated' : `heated to ${temp(p.setpointC)}`,
  ].join(' · ');

interface FormProps {
  readonly place: PlaceInfo | null;
  readonly others: readonly PlaceInfo[];
  readonly onClose: () => void;
}
function PlaceForm({ place, others, onClose }: FormProps) {
  const things = useThings();
  const save = useSave();
  const units = useUnits();
  const bareUnit = usePrefs((s) => s.units.temperature);
  const [id] = useState(() => place?.placeId ?? `place-${newId().slice(0, 12)}`);
  const [version] = useState(place?.version ?? 1);
  const [exposure, setExposure] = useState<Exposure>(place?.exposure ?? 'indoor-still');
  const [airOfId, setAirOf] = useState(place?.airOfId ?? '');
  const heat = { field: 'heating', dimension: 'temperature', bareUnit, min: -10, max: 45 } as const;
  const draft = useDraft(
    { name: words, setpointC: maybe(quantity(heat)), altitudeM: number('m', -500, 9000) },
    {
      name: place?.name ?? '',
      setpointC: place?.setpointC == null ? '' : units.temp(place.setpointC, 1),
      altitudeM: String(place?.altitudeM ?? 0),
    },
  );
  const theirs = theirsOf(save) as PlaceInfo | null;
  const store = (over: number): void => {
    const v = draft.read();
    if (!v) return;
    const setpointC = v.setpointC === null || exposure === 'outdoors' ? null : Number(v.setpointC.toFixed(2));
    const data = { ...v, setpointC, exposure, airOfId: airOfId === '' ? null : airOfId };
    save.run(
      () =>
        place
          ? things.change('places', id, v.name, { version: over, ...data })
          : things.make('places', id, v.name, { placeId: id, ...data }),
      onClose,
    );
  };
  return (
    <form
      className="flex flex-col gap-4"
      onSubmit={(e) => {
        e.preventDefault();
        store(version);
      }}
    >
      <TextField label="Name" autoFocus bound={draft.bind('name')} refused={save.problemAt('name')} />
      <Choice<Exposure>
        label="The air there"
        value={exposure}
        options={EXPOSURES.map((value) => ({ value, text: EXPOSURE_WORDS[value] }))}
        onChange={setExposure}
      />
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        {exposure === 'outdoors' ? null : (
          <QuantityField
            label="Heated to"
            hint={`in °${bareUnit}; leave empty where it is not heated`}
            bound={draft.bind('setpointC')}
            refused={save.problemAt('setpointC')}
          />
        )}
        <NumberField
          label="Height above the sea, m"
          hint="a rough figure does: it enters the dew point of a wet bulb"
          bound={draft.bind('altitudeM')}
          refused={save.problemAt('altitudeM')}
        />
      </div>
      <AirOf value={airOfId} others={others} onChange={setAirOf} />
      <SaveEnd
        save={save}
        what="this place"
        button={place ? 'Save' : 'Make the place'}
        theirs={theirs && { words: placeWords(theirs, units.temp), version: theirs.version }}
        onKeep={onClose}
        onMine={store}
      />
    </form>
  );
}

interface AirOfProps {
  readonly value: string;
  readonly others: readonly PlaceInfo[];
  readonly onChange: (placeId: string) => void;
}
const AirOf = ({ value, others, onChange }: AirOfProps) =>
  others.length === 0 ? null : (
    <SelectField
      label="Shares its air with"
      hint="a booth without doors, a bay of a hall: dust and spray mist of one are in the other"
      value={value}
      options={[
        { value: '', text: 'no other: walls and doors between' },
        ...others.map((p) => ({ value: p.placeId, text: p.name })),
      ]}
      onChange={onChange}
    />
  );
