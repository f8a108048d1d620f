/**
 * What is worked out of an object, kept for the last few objects asked about, by identity. For work that goes over one
 * thing many times and then never again: a `WeakMap` would keep as well, but its entries outlive their keys until the next
 * full collection and were an eighth of the advisor's time.
 */
export function recent<K extends object, V>(workOut: (key: K) => V, keep = 8): (key: K) => V {
  const keys: (K | undefined)[] = Array.from({ length: keep });
  const values: (V | undefined)[] = Array.from({ length: keep });
  let oldest = 0;
  return (key) => {
    for (let i = 0; i < keep; i++) if (keys[i] === key) return values[i] as V;
    const value = workOut(key);
    keys[oldest] = key;
    values[oldest] = value;
    oldest = (oldest + 1) % keep;
    return value;
  };
}
