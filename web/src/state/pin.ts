import { create } from 'zustand';

interface Held {
  readonly personId: string;
  readonly pin: string;
}
/** A pin that was given for the next entry of this tablet; kept nowhere but here, and used once. */
export const usePin = create<{ readonly held: Held | null }>()(() => ({ held: null }));

/** Longer than this it is somebody else's turn. */
const HELD_MS = 2 * 60_000;
let timer: ReturnType<typeof setTimeout> | undefined;

export function holdPin(held: Held): void {
  clearTimeout(timer);
  usePin.setState({ held });
  timer = setTimeout(() => usePin.setState({ held: null }), HELD_MS);
}
export function takePin(): Held | null {
  const { held } = usePin.getState();
  usePin.setState({ held: null });
  return held;
}
