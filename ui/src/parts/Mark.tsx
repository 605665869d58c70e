import type { RatingVerdict, StateMark } from "../api/types";

/** The state of a part or pump: a shape first, then a colour. */
export type State = StateMark;

export const STATE_WORDS: Record<State, string> = {
  sound: "sound",
  watch: "watch",
  renew: "renew",
  unknown: "not known",
  renewed: "renewed",
  bench: "on the bench",
};

/** A verdict on a material as a state. */
export function verdictState(verdict: RatingVerdict): State {
  switch (verdict) {
    case "suited":
      return "sound";
    case "limited":
      return "watch";
    case "unsuited":
      return "renew";
    case "unknown":
      return "unknown";
  }
}

const CUT_FROM = (-82 * Math.PI) / 180;
const CUT_TO = (-12 * Math.PI) / 180;

/** The mark inside an SVG, centred on x, y. */
export function MarkAt({ state, x, y, r = 6 }: { state: State; x: number; y: number; r?: number }) {
  const w = Math.max(1.6, r * 0.3);
  const at = (a: number) => `${(x + r * Math.cos(a)).toFixed(2)},${(y + r * Math.sin(a)).toFixed(2)}`;
  const notched = `M${x},${y} L${at(CUT_TO)} A${r},${r} 0 1 1 ${at(CUT_FROM)} Z`;
  switch (state) {
    case "sound":
      return <circle cx={x} cy={y} r={r - w / 2} fill="none" stroke="var(--sound)" strokeWidth={w} />;
    case "watch":
      return (
        <g>
          <circle cx={x} cy={y} r={r - w * 0.4} fill="var(--card)" stroke="var(--watch)" strokeWidth={w * 0.8} />
          <path d={`M${x},${y - r} A${r},${r} 0 0 0 ${x},${y + r} Z`} fill="var(--watch)" />
        </g>
      );
    case "renew":
      return <path d={notched} fill="var(--renew)" />;
    case "renewed": {
      const out = Math.max(1.1, r * 0.2);
      const mid = (CUT_FROM + CUT_TO) / 2;
      return (
        <g>
          <path d={notched} fill="var(--ink)" />
          <path
            transform={`translate(${out * Math.cos(mid)} ${out * Math.sin(mid)})`}
            d={`M${x},${y} L${at(CUT_FROM)} A${r},${r} 0 0 1 ${at(CUT_TO)} Z`}
            fill="var(--accent)"
          />
        </g>
      );
    }
    case "bench":
      return (
        <g stroke="var(--accent)" strokeWidth={2} fill="none">
          <rect x={x - r} y={y - r} width={2 * r} height={2 * r} />
          <path d={`M${x - r / 2},${y}H${x + r / 2}`} />
        </g>
      );
    case "unknown": {
      const length = (2 * Math.PI * (r - w / 2)) / 8;
      return (
        <circle
          cx={x}
          cy={y}
          r={r - w / 2}
          fill="none"
          stroke="var(--unknown)"
          strokeWidth={w}
          strokeDasharray={`${length * 0.45} ${length * 0.55}`}
        />
      );
    }
  }
}

/** The mark on its own, named for those who do not see it. */
export function Mark({ state, size = 14 }: { state: State; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox={`0 0 ${size} ${size}`}
      role="img"
      aria-label={STATE_WORDS[state]}
      className="shrink-0 overflow-visible"
    >
      <MarkAt state={state} x={size / 2} y={size / 2} r={size / 2 - 1} />
    </svg>
  );
}
