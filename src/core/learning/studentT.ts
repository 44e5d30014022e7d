/** Coefficients of Lanczos's approximation of the gamma function for g = 7 (the nine that are commonly printed; from memory). */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** The natural logarithm of the gamma function of a positive number. */
function logGamma(x: number): number {
  const z = x - 1;
  const [first = 0, ...others] = LANCZOS;
  const series = others.reduce((sum, coefficient, index) => sum + coefficient / (z + index + 1), first);
  const t = z + 7.5;
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(series);
}

const TINY = 1e-300;
const notNothing = (value: number): number => (Math.abs(value) < TINY ? TINY : value);

/** The continued fraction of the incomplete beta function by Lentz's method (DLMF 8.17.22); it converges fast for x < (a + 1) / (a + b + 2). */
function betaFraction(x: number, a: number, b: number): number {
  let c = 1;
  let d = 1 / notNothing(1 - ((a + b) * x) / (a + 1));
  let fraction = d;
  for (let m = 1; m <= 300; m += 1) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / notNothing(1 + even * d);
    c = notNothing(1 + even / c);
    fraction *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / notNothing(1 + odd * d);
    c = notNothing(1 + odd / c);
    const change = d * c;
    fraction *= change;
    if (Math.abs(change - 1) < 1e-14) break;
  }
  return fraction;
}

/** The regularised incomplete beta function I_x(a, b), for 0 ≤ x ≤ 1. */
function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2)
    ? (front * betaFraction(x, a, b)) / a
    : 1 - (front * betaFraction(1 - x, b, a)) / b;
}

/**
 * How likely a value of Student's t distribution is to be at most t.
 * @param freedom degrees of freedom, more than 0; they need not be whole
 * @example studentT(0, 5) // 0.5
 */
export function studentT(t: number, freedom: number): number {
  const beyond = incompleteBeta(freedom / (freedom + t * t), freedom / 2, 0.5) / 2;
  return t > 0 ? 1 - beyond : beyond;
}

/**
 * The value that Student's t distribution is at most with a probability, found by halving.
 * @param probability more than 0 and less than 1
 * @param freedom degrees of freedom, more than 0
 * @example studentTAt(0.9, 4).toFixed(3) // '1.533'
 */
export function studentTAt(probability: number, freedom: number): number {
  if (probability === 0.5) return 0;
  if (probability < 0.5) return -studentTAt(1 - probability, freedom);
  let [low, high] = [0, 1];
  while (studentT(high, freedom) < probability && high < 1e9) high *= 2;
  for (let step = 0; step < 60 && high - low > 1e-10 * high; step += 1) {
    const middle = (low + high) / 2;
    if (studentT(middle, freedom) < probability) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
