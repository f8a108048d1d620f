import type { VolumeSystem } from '@calvetta/core';
import { useState } from 'react';
import { Choice } from '../../forms/Field.tsx';
import { TextField } from '../../forms/fields.tsx';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { words, type Reader } from '../../forms/read.ts';
import { useDraft } from '../../forms/useDraft.ts';
import type { Save } from '../../forms/useSave.ts';
import { Button } from '../../ui/Button.tsx';

export interface ShopData {
  readonly name: string;
  readonly zone: string;
  readonly volumeSystem: VolumeSystem;
  readonly currency: string;
}

const ZONES = Intl.supportedValuesOf('timeZone');
const zone: Reader<string> = (text) =>
  ZONES.includes(text.trim()) || text.trim() === 'UTC'
    ? { ok: true, value: text.trim() }
    : { ok: false, problem: 'Choose a time zone from the list, such as Europe/London.' };
const currency: Reader<string> = (text) =>
  /^[a-z]{3}$/i.test(text.trim())
    ? { ok: true, value: text.trim().toUpperCase() }
    : { ok: false, problem: 'Three letters, such as EUR, GBP or USD.' };

/** What this device is set to: the likely answers. */
export const usualShop = (): ShopData => ({
  name: '',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  volumeSystem: /^en-US/i.test(navigator.language) ? 'us' : 'imperial',
  currency: /^en-US/i.test(navigator.language) ? 'USD' : /^en-GB/i.test(navigator.language) ? 'GBP' : 'EUR',
});

interface Props {
  readonly first: ShopData;
  readonly button: string;
  readonly save: Save;
  readonly onStore: (shop: ShopData) => void;
}

/** The shop itself: its name, its clock, its pints and its money. */
export function ShopForm({ first, button, save, onStore }: Props) {
  const draft = useDraft(
    { name: words, zone, currency },
    { name: first.name, zone: first.zone, currency: first.currency },
  );
  const [volumeSystem, setVolumeSystem] = useState(first.volumeSystem);
  return (
    <form
      className="flex flex-col gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        const v = draft.read();
        if (v) onStore({ ...v, volumeSystem });
      }}
    >
      <TextField
        label="Name of the shop"
        bound={draft.bind('name')}
        refused={save.problemAt('name')}
        maxLength={120}
      />
      <TextField
        label="Time zone"
        hint="evenings, nights and dates go by it"
        list="zones"
        bound={draft.bind('zone')}
        refused={save.problemAt('zone')}
      />
      <datalist id="zones">
        {ZONES.map((z) => (
          <option key={z} value={z} />
        ))}
      </datalist>
      <div className="flex flex-wrap gap-4">
        <TextField
          label="Prices in"
          size={5}
          bound={draft.bind('currency')}
          refused={save.problemAt('currency')}
        />
        <Choice<VolumeSystem>
          label="A pint is"
          value={volumeSystem}
          options={[
            { value: 'imperial', text: 'imperial, 568 ml' },
            { value: 'us', text: 'US, 473 ml' },
          ]}
          onChange={setVolumeSystem}
        />
      </div>
      <FormTrouble words={save.trouble} />
      <Button type="submit" look="main" className="self-start" disabled={save.isBusy}>
        {button}
      </Button>
    </form>
  );
}
