/** A coat of a face with what was specified and when it went on. */
export interface LaidCoat {
  readonly factId: string;
  readonly t0Ms: number;
  readonly dftUm: number;
}
/** A set of readings on a face: of the whole film on the metal, or of one coat by the comb. */
export interface FilmRead {
  readonly atMs: number;
  readonly scope: 'system' | 'coat';
  readonly meanUm: number;
  readonly leastUm: number;
}
export interface MeasuredCoat {
  readonly factId: string;
  /** Null: nobody measured a film that holds this coat. */
  readonly measuredUm: number | null;
  readonly thinnestUm: number | null;
}

/**
 * Each coat's own film from readings of the whole. A coat read by the comb takes that; else a coat's own film is the
 * difference of the film before and after it (ISO 19840 judges the system), shared in the proportions logged where several
 * coats went on between two measurements. Pure; coats in order of laying.
 */
export function measuredCoats(coats: readonly LaidCoat[], reads: readonly FilmRead[]): MeasuredCoat[] {
  const systems = reads.filter((r) => r.scope === 'system').sort((a, b) => a.atMs - b.atMs);
  const out = coats.map((c): MeasuredCoat => ({ factId: c.factId, measuredUm: null, thinnestUm: null }));
  let doneUm = 0;
  let doneLeastUm = 0;
  let from = 0;
  for (let i = 0; i < systems.length; i++) {
    // The last measurement before the next coat stands for the film as it then was.
    const next = systems[i + 1];
    const upTo = coats.filter((c) => c.t0Ms <= systems[i]!.atMs).length;
    if (next && coats.filter((c) => c.t0Ms <= next.atMs).length === upTo) continue;
    const own = coats.slice(from, upTo);
    const logged = own.reduce((sum, c) => sum + c.dftUm, 0);
    const grown = Math.max(0, systems[i]!.meanUm - doneUm);
    const thin = Math.max(0, systems[i]!.leastUm - doneLeastUm);
    own.forEach((c, k) => {
      const share = c.dftUm / logged;
      out[from + k] = {
        factId: c.factId,
        measuredUm: grown * share,
        thinnestUm: Math.min(thin, grown) * share,
      };
    });
    if (own.length === 0) continue;
    doneUm = systems[i]!.meanUm;
    doneLeastUm = systems[i]!.leastUm;
    from = upTo;
  }
  for (const r of reads.filter((x) => x.scope === 'coat')) {
    const at = coats.findLastIndex((c) => c.t0Ms <= r.atMs);
    if (at >= 0 && out[at]!.measuredUm === null)
      out[at] = { factId: coats[at]!.factId, measuredUm: r.meanUm, thinnestUm: r.leastUm };
  }
  return out;
}

/** Coats still missing to reach a film: how many of `perCoatUm` make up what is short. 0 when it is thick enough. */
export const coatsMissing = (haveUm: number, wantUm: number, perCoatUm: number): number =>
  haveUm >= wantUm ? 0 : Math.ceil((wantUm - haveUm) / perCoatUm - 1e-9);
