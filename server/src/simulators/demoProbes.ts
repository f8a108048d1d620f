import type { SimulatedProbe } from './probe.ts';

/** The demo's instruments: one good, one that drifts and drops out, one good, and an old logger that jammed two days ago. */
export function demoProbes(anchorMs: number): SimulatedProbe[] {
  return [
    { probeId: 'probe-booth', place: 'booth', contactLagMin: 20, fault: {} },
    {
      probeId: 'probe-shed',
      place: 'shed',
      contactLagMin: 45,
      fault: { driftKPerDay: 0.01, dropOutShare: 0.03 },
    },
    { probeId: 'probe-leanto', place: 'leanto', contactLagMin: 90, fault: {} },
    {
      probeId: 'logger-leanto',
      place: 'leanto',
      contactLagMin: 20,
      fault: { stuckSinceMs: anchorMs - 2 * 24 * 3_600_000 },
    },
  ];
}
