import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { UnitPreference } from '@calvetta/core';
import type { ShopInfo } from '@calvetta/contract';
import { removeDemo } from '../../api/client.ts';
import { usePeople, useShop } from '../../api/queries.ts';
import { FormTrouble } from '../../forms/FormTrouble.tsx';
import { theirsOf } from '../../forms/theirsOf.ts';
import { useSave } from '../../forms/useSave.ts';
import { useSend } from '../../record/useSend.ts';
import { shopWrite } from '../../record/write.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { usePrefs } from '../../state/prefs.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice, Field } from '../../forms/Field.tsx';
import { useMoney } from '../../ui/money.ts';
import { useUnits } from '../../ui/useUnits.ts';
import { TheDoor } from './door/TheDoor.tsx';
import { DaysOtherwise } from './DaysOtherwise.tsx';
import { Gauges } from './Gauges.tsx';
import { People } from './People.tsx';
import { Places } from './Places.tsx';
import { Practice } from './Practice.tsx';
import { ShopForm, type ShopData } from './ShopForm.tsx';
import { WhenWeCome } from './WhenWeCome.tsx';
import { Theirs } from '../../dialogs/Theirs.tsx';
import { Heading } from '../../ui/Heading.tsx';

/** What this device prefers, who holds it, and the way out for the shop's data. */
export default function SettingsScreen() {
  const shop = useShop();
  const people = usePeople();
  const prefs = usePrefs();
  const show = useDialogs((s) => s.show);
  return (
    <div className="grid max-w-[1180px] items-start gap-5 p-4 lg:grid-cols-2">
      <Heading title={['Settings']} className="text-[24px] lg:col-span-2">
        Settings
      </Heading>
      {shop.data ? <OurShop shop={shop.data} /> : null}
      <Section title="Places and probes">
        <Places />
      </Section>
      <Section title="People">
        <People />
      </Section>
      <Section title="Gauges and scales">
        <Gauges />
      </Section>
      <Section title="The door">
        <TheDoor />
      </Section>
      {shop.data ? (
        <Section title="When we come">
          <WhenWeCome shop={shop.data} />
          <DaysOtherwise shop={shop.data} />
        </Section>
      ) : null}
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
          value={prefs.personId}
          options={people.map((p) => ({ value: p.personId, text: p.name }))}
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

function Section({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <section className="flex flex-col gap-3 border border-line bg-panel p-4" aria-label={title}>
      <h2 className="text-[18px]">{title}</h2>
      {children}
    </section>
  );
}

function OurShop({ shop }: { readonly shop: ShopInfo }) {
  const send = useSend();
  const save = useSave();
  const [mine, setMine] = useState<ShopData | null>(null);
  const theirs = theirsOf(save) as ShopInfo | null;
  const store = (data: ShopData, version: number): void => {
    setMine(data);
    save.run(() => send(shopWrite({ version, ...data }), `Stored: ${data.name}`));
  };
  return (
    <Section title="Our shop">
      {shop.isDemo ? (
        <p className="border-l-4 border-mark bg-ground p-3">
          This is the demo, invented from end to end. Try what you like: it is removed in one act under “The
          shop’s data”.
        </p>
      ) : null}
      <ShopForm
        key={shop.workshopId}
        first={shop}
        button="Save the shop"
        save={save}
        onStore={(data) => store(data, shop.version)}
      />
      <HourWorth key={`${shop.version}`} shop={shop} />
      {theirs && mine ? (
        <Theirs
          what="the shop’s data"
          stored={[theirs.name, theirs.zone, theirs.currency].join(' · ')}
          onKeep={save.clear}
          onMine={() => store(mine, theirs.version)}
        />
      ) : null}
    </Section>
  );
}

/** What an hour of hands counts as: a volunteer's too, for whoever gives a grant. Empty: nothing. */
function HourWorth({ shop }: { readonly shop: ShopInfo }) {
  const send = useSend();
  const save = useSave();
  const { coins } = useMoney();
  const [text, setText] = useState(shop.hourCents === null ? '' : String(shop.hourCents / coins));
  const sum = Number(text.replace(',', '.'));
  const hourCents = text.trim() === '' ? null : Math.round(sum * coins);
  const isBad = hourCents !== null && !(hourCents >= 1 && hourCents <= 10_000_000);
  return (
    <form
      className="flex flex-wrap items-end gap-2"
      onSubmit={(e) => {
        e.preventDefault();
        if (!isBad)
          save.run(() =>
            send(shopWrite({ version: shop.version, hourCents }), 'Stored: what an hour counts as'),
          );
      }}
    >
      <Field
        label={`An hour of hands counts as, ${shop.currency}`}
        problem={isBad ? 'A sum, such as 15 or 12.50.' : null}
      >
        <input className="w-28" inputMode="decimal" value={text} onChange={(e) => setText(e.target.value)} />
      </Field>
      <Button type="submit" disabled={save.isBusy || isBad}>
        Store
      </Button>
      <p className="w-full text-[13px] text-quiet">
        For grants, beside the money in the Ledger. Empty: nothing.
      </p>
      <FormTrouble words={save.trouble} />
    </form>
  );
}

/** Takes the demo away, whole, after one more touch. */
function RemoveDemo() {
  const save = useSave();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [isSure, setSure] = useState(false);
  const gone = async (): Promise<void> => {
    await client.resetQueries();
    await navigate('/');
  };
  if (!isSure)
    return (
      <Button className="self-start" onClick={() => setSure(true)}>
        Remove the demo
      </Button>
    );
  return (
    <div role="alert" className="flex flex-col gap-2 border-l-4 border-mark bg-ground p-3">
      <p>The demo goes, with everything that was tried in it. Then Calvetta is empty, and you can begin.</p>
      <FormTrouble words={save.trouble} />
      <p className="flex flex-wrap gap-2">
        <Button look="main" disabled={save.isBusy} onClick={() => save.run(removeDemo, () => void gone())}>
          Remove it all
        </Button>
        <Button onClick={() => setSure(false)}>Keep it</Button>
      </p>
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
      {unit('mass', 'Mass', [
        { value: 'kg', text: 'kg' },
        { value: 'lb', text: 'lb' },
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
      {shop.data?.isDemo ? <RemoveDemo /> : null}
    </section>
  );
}
