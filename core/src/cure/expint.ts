/**
 * x·e^x·E1(x), where E1 is the exponential integral; tends to 1 for large x. Scaled so that it never under- or overflows.
 * Source: Abramowitz & Stegun 5.1.11 (series, x ≤ 1) and 5.1.22 (continued fraction, evaluated by the modified Lentz
 * method); relative error below 1e-14.
 */
export function scaledE1(x: number): number {
  if (x <= 0) return 0;
  if (x <= 1) {
    let sum = -Math.log(x) - 0.5772156649015329;
    let term = -1;
    for (let n = 1; n < 30; n++) {
      term *= -x / n;
      sum += term / n;
    }
    return x * Math.exp(x) * sum;
  }
  let b = x + 1;
  let c = 1e300;
  let d = 1 / b;
  let h = d;
  for (let i = 1; i <= 200; i++) {
    const a = -i * i;
    b += 2;
    d = 1 / (a * d + b);
    c = b + a / c;
    const step = c * d;
    h *= step;
    if (Math.abs(step - 1) < 1e-15) break;
  }
  return x * h;
}
