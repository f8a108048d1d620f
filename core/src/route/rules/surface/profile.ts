import { unmetHere } from '../../surface/unmet.ts';
import { byRoute, fires, fromMemory, rule } from '../../rule.ts';
import { firstCoat } from '../../view.ts';

/** The roughness of the metal is not what this first coat holds to. */
export const profile = rule({
  id: 'surface.profile',
  severity: 'refuse',
  phase: 'route',
  source: fromMemory('ISO 8503-1, profile by blasting'),
  remedies: [byRoute],
  check: (v) => {
    const u = unmetHere(v).find((x) => x.code === 'profile');
    if (u?.code !== 'profile') return null;
    const got = u.got === null ? 'none' : `${u.got[0]}–${u.got[1]}`;
    return fires({ product: firstCoat(v)!.family.sheet.name, got, need: `${u.need[0]}–${u.need[1]}` });
  },
});
