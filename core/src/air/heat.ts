import { rhPctOf, vapourHpa } from './humidity.ts';
import { rangeFailure } from '../base/failure.ts';
import { err, ok, type Result } from '../base/result.ts';
import { secondsToReach } from '../part/thermal/response.ts';
import { DEW_MARGIN_K } from './gate.ts';
import { wettingPointOf } from './dewPoint.ts';

export interface HeatInput {
  readonly airC: number;
  readonly rhPct: number;
  /** Air temperature to heat to, °C. */
  readonly targetC: number;
  readonly parts: readonly {
    readonly partId: string;
    readonly surfaceC: number;
    readonly tauS: number | null;
  }[];
}

export interface HeatAnswer {
  readonly dewPointC: number;
  readonly rhAfterPct: number;
  /** Parts that come clear of the dew margin, soonest first; 0 s for those that are already. */
  readonly fitAfterS: readonly { readonly partId: string; readonly afterS: number }[];
  readonly neverFit: readonly string[];
  /** Not clear yet, and their lag is not known. */
  readonly unknown: readonly string[];
}

/**
 * What dry heat would do: vapour pressure stays, so the dew point stays and the humidity falls; each part follows the air
 * by its own lag, T = Ta + (T0 − Ta)·e^(−t/τ), as if the air stepped to the target at once (the soonest it could be).
 * Fails when the target is outside −40…50 °C or the air cannot be.
 */
export function heatToFit(input: HeatInput): Result<HeatAnswer> {
  const bad =
    rangeFailure('targetC', input.targetC, -40, 50, '°C') ??
    rangeFailure('airC', input.airC, -40, 50, '°C') ??
    rangeFailure('rhPct', input.rhPct, 0.1, 100, '%');
  if (bad) return err(bad);
  const vapour = vapourHpa(input.airC, input.rhPct);
  const dewPointC = wettingPointOf(vapour).tempC;
  const neededC = dewPointC + DEW_MARGIN_K;
  const fitAfterS: { partId: string; afterS: number }[] = [];
  const neverFit: string[] = [];
  const unknown: string[] = [];
  for (const p of input.parts) {
    if (p.surfaceC >= neededC) fitAfterS.push({ partId: p.partId, afterS: 0 });
    else if (p.tauS === null) unknown.push(p.partId);
    else {
      const afterS = secondsToReach(p.surfaceC, input.targetC, p.tauS, neededC);
      if (afterS === null) neverFit.push(p.partId);
      else fitAfterS.push({ partId: p.partId, afterS });
    }
  }
  fitAfterS.sort((a, b) => a.afterS - b.afterS);
  const rhAfterPct = rhPctOf(vapour, input.targetC);
  return ok({ dewPointC, rhAfterPct, fitAfterS, neverFit, unknown });
}
