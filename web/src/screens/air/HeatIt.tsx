import { useState } from 'react';
import { heatToFit } from '@calvetta/core';
import type { PlaceAirResponse, PlaceNowView } from '@calvetta/contract';
import { duration } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

/** What heating the place would do: dew point stays (dry heat), each part follows by its own lag. Computed in the page by core. */
export function HeatIt({ air, now }: { readonly air: PlaceAirResponse; readonly now: PlaceNowView }) {
  const units = useUnits();
  const [targetC, setTargetC] = useState(() => Math.ceil((now.airC ?? 10) + 5));
  const answer =
    now.airC === null || now.rhPct === null
      ? null
      : heatToFit({
          airC: now.airC,
          rhPct: now.rhPct,
          targetC,
          parts: air.parts.map((p) => ({ partId: p.partId, surfaceC: p.surfaceC, tauS: p.tauS })),
        });
  if (!answer?.ok) return null;
  const { rhAfterPct, fitAfterS, neverFit, unknown } = answer.value;
  const name = (id: string): string => air.parts.find((p) => p.partId === id)?.name ?? id;
  const last = fitAfterS[fitAfterS.length - 1];
  return (
    <section className="border border-line bg-panel p-3" aria-label="If we heat">
      <h2 className="text-[16px]">If we heat to {units.temp(targetC, 0)}</h2>
      <input
        type="range"
        aria-label="Heat to"
        min={Math.floor(now.airC ?? 0)}
        max={30}
        step={1}
        value={targetC}
        onChange={(e) => setTargetC(Number(e.target.value))}
        className="w-full p-0!"
      />
      <p>
        Humidity falls to {units.pct(rhAfterPct)}; the dew point stays at {units.temp(answer.value.dewPointC)}
        .{' '}
        {last === undefined
          ? 'No part here has a known lag.'
          : last.afterS === 0
            ? `All ${fitAfterS.length} parts with a known lag are clear of the dew margin already.`
            : `${fitAfterS.filter((f) => f.afterS === 0).length} parts are clear of the dew margin already; the last, ${name(last.partId)}, is after ${duration(last.afterS * 1000)}.`}
        {neverFit.length > 0 ? ` ${neverFit.length} would never be: heat more.` : ''}
        {unknown.length > 0 ? ` ${unknown.length} with unknown lag: measure them.` : ''}
      </p>
      <p className="text-[13px] text-quiet">
        Dry heat only. A gas heater without a flue adds water: its dew point rises. Ventilate, and no open
        flame near solvent.
      </p>
    </section>
  );
}
