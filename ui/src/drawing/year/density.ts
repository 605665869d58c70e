const POINTS = 64;

/** Half the width of the bell that each year is spread over, in parts of the axis. */
const SPREAD = 0.018;

/** How many years lie at each place of an axis, as shares of the most; even steps from end to end. */
export function density(values: readonly number[], from: number, to: number): number[] {
  const at = new Array<number>(POINTS + 1).fill(0);
  const reach = Math.ceil(3 * SPREAD * POINTS);
  for (const v of values) {
    const place = ((v - from) / (to - from)) * POINTS;
    const middle = Math.round(place);
    for (let i = Math.max(0, middle - reach); i <= Math.min(POINTS, middle + reach); i++) {
      const off = (i - place) / (SPREAD * POINTS);
      at[i] = (at[i] ?? 0) + Math.exp((-off * off) / 2);
    }
  }
  const most = Math.max(...at, 1e-9);
  return at.map((v) => v / most);
}

/** The outline of a density to both sides of a line. */
export function outline(shape: readonly number[], from: number, to: number, y: number, height: number): string {
  const x = (i: number) => (from + ((to - from) * i) / (shape.length - 1)).toFixed(1);
  const first = shape.findIndex((v) => v > 0.01);
  const last = shape.length - 1 - [...shape].reverse().findIndex((v) => v > 0.01);
  if (first < 0) return "";
  const side = (sign: number, indexes: number[]) =>
    indexes.map((i) => `${x(i)},${(y + sign * height * (shape[i] ?? 0)).toFixed(1)}`);
  const there = Array.from({ length: last - first + 1 }, (_, i) => first + i);
  return `M${[...side(-1, there), ...side(1, [...there].reverse())].join("L")}Z`;
}
