import { useEffect, useRef } from 'react';
import type { Rack } from '../../state/run.ts';

const TONE_HZ = 880;
const TONE_S = 0.35;

let sound: AudioContext | null = null;
/** A touch must have come before: a page that nobody touched stays silent, and that is no fault. */
function tone(): void {
  try {
    sound ??= new AudioContext();
    const note = sound.createOscillator();
    const loud = sound.createGain();
    note.frequency.value = TONE_HZ;
    loud.gain.setValueAtTime(0.3, sound.currentTime);
    loud.gain.exponentialRampToValueAtTime(0.001, sound.currentTime + TONE_S);
    note.connect(loud).connect(sound.destination);
    note.start();
    note.stop(sound.currentTime + TONE_S);
  } catch {
    // No loudspeaker: the screen says it too.
  }
}

const isWaiting = (p: Rack['parts'][number], passes: number): boolean =>
  !p.isOut && !p.isLogged && p.passes.length > 0 && p.passes.length < passes;

/** Sounds once as each flash ends; comes back with the parts whose flash ended within the last seconds. */
export function useFlashes(rack: Rack, nowMs: number, isLoud: boolean): ReadonlySet<string> {
  const told = useRef(new Set<string>());
  const over = rack.parts.filter(
    (p) => isWaiting(p, rack.passes) && p.readyMs !== null && p.readyMs <= nowMs,
  );
  const keys = over.map((p) => `${p.partId} ${p.passes.length}`).join();
  useEffect(() => {
    const fresh = keys.split(',').filter((k) => k !== '' && !told.current.has(k));
    for (const k of fresh) told.current.add(k);
    if (fresh.length > 0 && isLoud) tone();
  }, [keys, isLoud]);
  return new Set(over.filter((p) => nowMs - p.readyMs! < 4000).map((p) => p.partId));
}
