import { useState } from 'react';
import { patternOf, takenOver, type FactBodies, type FactKind, type PatternPart } from '@calvetta/core';
import { getSource } from '../api/client.ts';
import { useMachines, usePlaces } from '../api/queries.ts';
import { SelectField } from '../forms/fields.tsx';
import { keyOf, listLike, type newOnes } from './partsList.ts';

/** What the parts of a list are made like, by name, whatever their assembly is called; empty: nothing. */
export type LikeOnes = ReadonlyMap<string, PatternPart>;
export const NO_LIKE: LikeOnes = new Map();

interface Entries {
  readonly kind: FactKind;
  readonly parts: readonly { readonly partId: string; readonly name: string }[];
  readonly bodies: readonly FactBodies[FactKind][];
}

/**
 * What is recorded of new parts besides that they are there: what of them nobody measured or looked at, where they stand, and what was found
 * and chosen for those they are made like.
 */
export function entriesOf(
  { parts, placed, guessed }: Pick<ReturnType<typeof newOnes>, 'parts' | 'placed' | 'guessed'>,
  like: LikeOnes,
): readonly Entries[] {
  const made = parts.flatMap((part) => {
    const of = like.get(keyOf('', part.name));
    const taken = of && takenOver(of, part);
    return taken ? [{ part, from: of.row.name, ...taken }] : [];
  });
  const routed = made.flatMap(({ part, route }) => (route ? [{ part, route }] : []));
  const said = [
    ...guessed.map((g) => ({ part: g, text: `Not measured: ${g.words}.` })),
    ...made.map(({ part, from }) => ({
      part,
      text: `Its survey is that of “${from}”: nobody has looked at this one yet.`,
    })),
  ];
  const all: readonly Entries[] = [
    { kind: 'noted', parts: said.map((n) => n.part), bodies: said.map(({ text }) => ({ text })) },
    { kind: 'moved', parts: placed, bodies: placed.map(({ placeId }) => ({ placeId })) },
    { kind: 'surveyed', parts: made.map((m) => m.part), bodies: made.map(({ survey }) => ({ survey })) },
    { kind: 'route-set', parts: routed.map((r) => r.part), bodies: routed.map((r) => r.route) },
  ];
  return all.filter((e) => e.parts.length > 0);
}

interface Props {
  /** The list, and what its parts are made like. */
  readonly onLike: (text: string, ones: LikeOnes) => void;
}

/** A whole assembly that the shop has, as the pattern of another: its parts come into the sheet, to be changed there. */
export function LikeAssembly({ onLike }: Props) {
  const machines = useMachines().data?.machines ?? [];
  const places = usePlaces();
  const [chosen, setChosen] = useState('');
  const [isAway, setAway] = useState(false);
  const [isTaken, setTaken] = useState(false);
  const options = machines.flatMap((m) =>
    m.assemblies
      .filter((a) => a.parts.length > 0)
      .map((a) => ({
        value: a.assemblyId,
        name: a.name,
        text: `${m.name}: ${a.name}, ${a.parts.length} ${a.parts.length === 1 ? 'part' : 'parts'}`,
      })),
  );
  if (options.length === 0) return null;
  const take = (assemblyId: string, withSurveys: boolean): void => {
    setChosen(assemblyId);
    setTaken(withSurveys);
    const name = options.find((o) => o.value === assemblyId)?.name;
    if (name === undefined) return;
    getSource()
      .then(({ shop }) => {
        const pattern = patternOf(shop, assemblyId);
        setAway(false);
        onLike(
          listLike(pattern, name, places),
          withSurveys ? new Map(pattern.map((p) => [keyOf('', p.row.name), p] as const)) : NO_LIKE,
        );
      })
      .catch(() => setAway(true));
  };
  return (
    <>
      <SelectField
        label="Like an assembly that is here"
        hint="its parts come into the list below, to be changed there"
        problem={isAway ? 'Calvetta does not answer: the parts of that assembly cannot be had now.' : null}
        value={chosen}
        options={[{ value: '', text: 'no: typed or pasted' }, ...options]}
        onChange={(id) => take(id, isTaken)}
      />
      {chosen === '' ? null : (
        <label className="flex min-h-8 items-center gap-2 text-[14px] pointer-coarse:min-h-11">
          <input type="checkbox" checked={isTaken} onChange={(e) => take(chosen, e.target.checked)} />
          with what was found on them and the routes chosen: only where these are as rusty, as oily and
          painted alike. Each is marked as not looked at.
        </label>
      )}
    </>
  );
}
