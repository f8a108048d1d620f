import type { WorkOp } from '../ledger/kinds.ts';
import { TRADE_CHECKS, type TradeCheckId } from '../ledger/tradeChecks.ts';
import type { PartKind } from '../part/kinds.ts';
import { hoursOf, opOf, workedOf } from './pace.ts';
import type { DerivedPart } from './part.ts';
import { newestSurvey } from './survey.ts';

/** A job of the shop's own that the trade's figure is of. */
export interface OwnJob {
  readonly name: string;
  readonly hours: number;
  /** Logged, or reckoned by the route; a machine's: what is logged and what is left. */
  readonly by: 'logged' | 'reckoned' | 'both';
}
export interface TradeCheck {
  readonly id: TradeCheckId;
  readonly fromH: number;
  readonly toH: number;
  readonly own: readonly OwnJob[];
}
/** What is asked of a machine here. */
interface MachineTotal {
  readonly machineId: string;
  readonly name: string;
  readonly workedH: number;
  readonly leftH: number;
}

const AIRCRAFT: readonly PartKind[] = ['aircraft-skin', 'control-surface', 'float-hull'];
const kindOf = (p: DerivedPart): PartKind => newestSurvey(p)?.kind ?? 'unknown';

/** The trade's own figures beside this shop's jobs of the same kind. Pure. */
export function tradeChecks(
  parts: readonly DerivedPart[],
  machines: readonly MachineTotal[],
): readonly TradeCheck[] {
  const ofMachine = (id: string): readonly DerivedPart[] => parts.filter((p) => p.row.machineId === id);
  const own: Readonly<Record<TradeCheckId, readonly OwnJob[]>> = {
    aircraft: machines.flatMap((m) =>
      ofMachine(m.machineId).some((p) => AIRCRAFT.includes(kindOf(p))) && m.workedH + m.leftH > 0
        ? [{ name: m.name, hours: m.workedH + m.leftH, by: 'both' as const }]
        : [],
    ),
    // Nothing on record tells a jet from a propeller.
    'light-jet': [],
    'chassis-coat': machines.flatMap((m) => chassisCoat(m.name, ofMachine(m.machineId))),
    'engine-cleaning': parts.flatMap((p) =>
      kindOf(p) === 'engine-assembled' ? jobOf(p, 'clean', p.row.name) : [],
    ),
  };
  return (Object.keys(TRADE_CHECKS) as TradeCheckId[]).map((id) => ({
    id,
    ...TRADE_CHECKS[id],
    own: own[id],
  }));
}

/** Hours of one kind of work: as logged, else as the route reckons. */
function jobOf(part: DerivedPart, on: WorkOp, name: string): OwnJob[] {
  const logged = hoursOf(workedOf(part).filter((f) => f.body.on === on));
  if (logged > 0) return [{ name, hours: logged, by: 'logged' }];
  const reckoned = part.steps.reduce((s, x) => s + (opOf(x.kind) === on ? (x.hours ?? 0) : 0), 0);
  return reckoned > 0 ? [{ name, hours: reckoned, by: 'reckoned' }] : [];
}

/** A coat on all the frame of one vehicle, laid by brush: what its rails take together. */
function chassisCoat(name: string, parts: readonly DerivedPart[]): OwnJob[] {
  const rails = parts.filter((p) => kindOf(p) === 'chassis-rail');
  const coats = rails.flatMap((p) => p.steps.filter((s) => s.tool === 'brush' && s.coats > 0));
  const most = Math.max(0, ...rails.map((p) => coatsOf(p)));
  if (coats.length === 0 || most === 0) return [];
  return [{ name, hours: coats.reduce((s, x) => s + (x.hours ?? 0), 0) / most, by: 'reckoned' }];
}
const coatsOf = (p: DerivedPart): number =>
  p.steps.reduce((n, s) => n + (s.tool === 'brush' ? s.coats : 0), 0);
