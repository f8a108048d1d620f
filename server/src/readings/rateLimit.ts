/** A token bucket a key: so many requests at once, refilled at a steady rate. */
export interface RateLimiter {
  take(key: string, nowMs: number): boolean;
}

export function createRateLimiter(burst: number, perSecond: number): RateLimiter {
  const buckets = new Map<string, { tokens: number; atMs: number }>();
  return {
    take(key, nowMs) {
      const b = buckets.get(key) ?? { tokens: burst, atMs: nowMs };
      // A clock set back gives nothing and takes nothing.
      const tokens = Math.min(burst, b.tokens + (Math.max(0, nowMs - b.atMs) / 1000) * perSecond);
      const allowed = tokens >= 1;
      buckets.set(key, { tokens: allowed ? tokens - 1 : tokens, atMs: nowMs });
      return allowed;
    },
  };
}
