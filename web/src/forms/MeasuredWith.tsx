import type { GaugeKind } from '@calvetta/core';
import { useShop } from '../api/queries.ts';
import { usePrefs } from '../state/prefs.ts';
import { SelectField } from './fields.tsx';

/** What this device last measured with, of the gauges or scales that there are; null: not noted. */
export function useMeasuredWith(kind: GaugeKind): string | null {
  const gauges = useShop().data?.gauges ?? [];
  const last = usePrefs((s) => s.measuredWith[kind]);
  return gauges.some((g) => g.gaugeId === last && g.kind === kind && !g.isAway) ? (last ?? null) : null;
}

/** Which gauge or scale it was; nothing where the shop has none. */
export function MeasuredWith({ kind }: { readonly kind: GaugeKind }) {
  const all = useShop().data?.gauges ?? [];
  const gauges = all.filter((g) => g.kind === kind && !g.isAway);
  const chosen = useMeasuredWith(kind);
  if (gauges.length === 0) return null;
  return (
    <SelectField
      label={kind === 'film' ? 'Read with' : 'Weighed on'}
      value={chosen ?? ''}
      options={[{ value: '', text: 'not noted' }, ...gauges.map((g) => ({ value: g.gaugeId, text: g.name }))]}
      onChange={(id) => usePrefs.getState().setMeasuredWith(kind, id === '' ? null : id)}
    />
  );
}
