import type { UnitPreference } from '@calvetta/core';
import { useShop } from '../../api/queries.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { usePrefs } from '../../state/prefs.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../forms/Field.tsx';
import { useUnits } from '../../ui/useUnits.ts';
import { Practice } from './Practice.tsx';

/** What this device prefers, who holds it, and the way out for the shop's data. */
export default function SettingsScreen() {
  const shop = useShop();
  const prefs = usePrefs();
  const show = useDialogs((s) => s.show);
  return (
    <div className="grid max-w-[1180px] items-start gap-5 p-4 lg:grid-cols-2">
      <h1 className="text-[24px] lg:col-span-2">Settings</h1>
      <Units />
      <section className="flex flex-col gap-3 border border-line bg-panel p-4" aria-label="Device">
        <h2 className="text-[18px]">This device</h2>
        <Choice
          label="Theme"
          value={prefs.theme}
          options={[
            { value: 'light', text: 'day' },
            { value: 'dark', text: 'night and booth' },
          ]}
          onChange={prefs.setTheme}
        />
        <Choice
          label="In whose hands"
          value={prefs.personId ?? shop.data?.people[0]?.personId ?? ''}
          options={(shop.data?.people ?? []).map((p) => ({ value: p.personId, text: p.name }))}
          onChange={prefs.setPerson}
        />
        <Button look="quiet" className="self-start" onClick={() => show({ kind: 'keys' })}>
          Keys
        </Button>
      </section>
      {shop.data ? <Practice means={shop.data.means} /> : null}
      <Data />
    </div>
  );
}

function Units() {
  const prefs = usePrefs();
  const units = useUnits();
  const unit = <K extends keyof UnitPreference>(
    key: K,
    label: string,
    options: readonly { readonly value: UnitPreference[K]; readonly text: string }[],
  ) => (
    <Choice
      label={label}
      value={prefs.units[key]}
      options={options}
      onChange={(value) => prefs.setUnits({ [key]: value })}
    />
  );
  return (
    <section className="flex flex-col gap-3 border border-line bg-panel p-4" aria-label="Units">
      <h2 className="text-[18px]">Units on this device</h2>
      {unit('temperature', 'Temperature', [
        { value: 'C', text: '°C' },
        { value: 'F', text: '°F' },
      ])}
      {unit('film', 'Film', [
        { value: 'um', text: 'µm' },
        { value: 'mil', text: 'mil' },
      ])}
      {unit('area', 'Area', [
        { value: 'm2', text: 'm²' },
        { value: 'ft2', text: 'ft²' },
      ])}
      {unit('volume', 'Volume', [
        { value: 'L', text: 'litres' },
        { value: 'us', text: 'US' },
        { value: 'imperial', text: 'imperial' },
      ])}
      <p className="text-quiet">
        So 75 µm reads {units.film(75)}, 4.2 m² reads {units.area(4.2)}, and a 3 K margin reads{' '}
        {units.kelvin(3)}. Any field still takes “72 F”, “3 mil” or “1 1/2 pt”.
      </p>
    </section>
  );
}

function Download({ href, children }: { readonly href: string; readonly children: string }) {
  return (
    <a className="figure inline-flex min-h-11 items-center border border-ink/60 px-4" href={href} download>
      {children}
    </a>
  );
}

function Data() {
  const shop = useShop();
  const show = useDialogs((s) => s.show);
  return (
    <section className="flex flex-col gap-3 border border-line bg-panel p-4" aria-label="Data">
      <h2 className="text-[18px]">The shop’s data</h2>
      <p>
        {shop.data?.name ?? ''} · times in {shop.data?.zone ?? ''}. Everything is yours, in open formats.
      </p>
      <p className="flex flex-wrap gap-3">
        <Download href="/api/backup">Backup: everything in one file</Download>
        <Download href="/api/export">Whole shop as JSON</Download>
        <Button onClick={() => show({ kind: 'import' })}>Import readings or a forecast</Button>
      </p>
      <p className="text-quiet">
        Keep a backup off this machine. <span className="figure">bin/restore</span> puts it back; it checks
        that not a row is missing or changed. The JSON is for reading and for other programs: no readings and
        no forecast are in it.
      </p>
    </section>
  );
}
