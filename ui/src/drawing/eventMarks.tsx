/** The event vocabulary, the same on every line of time. Each mark is centred on x, y. */

interface At {
  x: number;
  y: number;
}

/** Planned service: an open upright tick. */
export function Planned({ x, y }: At) {
  return <rect x={x - 2.5} y={y - 11} width={5} height={22} fill="var(--card)" stroke="var(--ink)" strokeWidth={1.4} />;
}

/** Failure: a filled notch from both sides. */
export function Failure({ x, y, h = 12 }: At & { h?: number }) {
  const w = h * 0.58;
  return (
    <path
      d={`M${x - w},${y - h}H${x + w}L${x + 1.2},${y - 1.5}V${y + 1.5}L${x + w},${y + h}H${x - w}L${x - 1.2},${y + 1.5}V${y - 1.5}Z`}
      fill="var(--renew)"
    />
  );
}

/** Due: a datum triangle on a stem. */
export function Due({ x, y }: At) {
  return (
    <g>
      <path d={`M${x},${y - 13}V${y + 15}`} stroke="var(--ink)" strokeWidth={1.6} />
      <path d={`M${x - 5.5},${y - 19}H${x + 5.5}L${x},${y - 11}Z`} fill="var(--ink)" />
    </g>
  );
}

/** Plan: a diamond; open where it lies past the due mark. */
export function Plan({ x, y, late }: At & { late: boolean }) {
  return (
    <path
      d={`M${x},${y - 7.5}L${x + 7.5},${y}L${x},${y + 7.5}L${x - 7.5},${y}Z`}
      fill={late ? "var(--card)" : "var(--accent)"}
      stroke={late ? "var(--accent)" : "var(--card)"}
      strokeWidth={late ? 2.2 : 1.6}
    />
  );
}
