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

/** The same by a key in words, for what is worked out of several things at once. */
export function recentByKey<V>(keep = 8): (key: string, workOut: () => V) => V {
  const known = new Map<string, V>();
  return (key, workOut) => {
    const there = known.get(key);
    if (there !== undefined) return there;
    const value = workOut();
    known.set(key, value);
    if (known.size > keep) known.delete(known.keys().next().value!);
    return value;
  };
}
