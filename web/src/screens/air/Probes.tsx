import { useState } from 'react';
import type { PlaceAirResponse } from '@calvetta/contract';
import { TRUST_WORDS } from '@calvetta/contract/words';
import { SelectField } from '../../forms/fields.tsx';
import { ProbeToken } from '../../forms/ProbeToken.tsx';
import { useNowMs } from '../../state/clock.ts';
import { useDialogs } from '../../state/dialogs.ts';
import { Button } from '../../ui/Button.tsx';
import { ago, duration } from '../../ui/time.ts';
import { useUnits } from '../../ui/useUnits.ts';

/** The instruments of a place, whether they are to be trusted, and how a real one reports. */
export function Probes({ air }: { readonly air: PlaceAirResponse }) {
  const nowMs = useNowMs();
  const units = useUnits();
  const show = useDialogs((s) => s.show);
  const fit = air.fitToOutdoor;
  return (
    <section className="border border-line bg-panel p-3" aria-label="Probes">
      <h2 className="text-[16px]">Probes</h2>
      <ul>
        {air.probes.map((p) => (
          <li key={p.probeId} className="flex flex-wrap justify-between gap-x-4 border-t border-line/60 py-1">
            <span>
              {p.name}
              {p.isSimulated ? <span className="text-[13px] text-quiet"> · simulated</span> : null}
            </span>
            <span className={p.trust === 'fresh' ? 'text-quiet' : 'text-bad'}>
              {TRUST_WORDS[p.trust]}
              {p.lastMs === null ? '' : ` · ${ago(nowMs - p.lastMs)}`}
            </span>
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-quiet">
        {fit
          ? `This place follows the outdoor air with a lag of ${duration(fit.tauS * 1000)} and ${units.kelvin(fit.offsetK)}, and holds ${Math.abs(fit.vapourOffsetHpa).toFixed(1)} hPa ${fit.vapourOffsetHpa < 0 ? 'less' : 'more'} moisture than it, fitted on ${fit.n} readings (r.m.s. error ${units.spread(fit.rmsK)}): so its forecast is made.`
          : 'Too few readings to fit how this place follows the outdoor air: its forecast uses a lag of 3 h.'}
      </p>
      <Button
        className="mt-1"
        onClick={() => show({ kind: 'probe', placeId: air.place.placeId, probeId: null })}
      >
        Add a probe
      </Button>
      <NewToken probes={air.probes} />
    </section>
  );
}

/** How a probe of one's own reports. */
function NewToken({ probes }: Pick<PlaceAirResponse, 'probes'>) {
  const [probeId, setProbeId] = useState(probes[0]?.probeId ?? '');
  if (probes.length === 0) return null;
  return (
    <details className="mt-1 text-[13px]">
      <summary className="cursor-pointer text-quiet">How a probe of your own reports</summary>
      <div className="mt-1 flex flex-wrap items-end gap-3">
        <SelectField
          label="Probe"
          value={probeId}
          options={probes.map((p) => ({ value: p.probeId, text: p.name }))}
          onChange={setProbeId}
        />
        <ProbeToken key={probeId} probeId={probeId} />
      </div>
    </details>
  );
}
