import { scaleLinear } from "d3-scale";
import type { InspectItem } from "../api/types";
import { rounded } from "../parts/numbers";

const WIDTH = 200;

/** A measured quantity against its limits: solid good, hatched watch, dashes out. */
export function LimitScale({ limit: l, typed }: { limit: InspectItem["limits"][number]; typed: string }) {
  const falling = l.renew < l.watch;
  const span = Math.abs(l.renew - l.watch) || Math.abs(l.renew) || 1;
  const good = falling ? l.watch + span * 1.5 : Math.max(0, l.watch - span * 1.5);
  const bad = falling ? l.renew - span : l.renew + span;
  const x = scaleLinear()
    .domain([good, bad])
    .range([8, WIDTH - 8])
    .clamp(true);
  const value = Number(typed.replace(",", "."));
  const shown = typed.trim() !== "" && Number.isFinite(value);
  return (
    <svg
      width={WIDTH}
      height={66}
      role="img"
      aria-label={`Watch from ${l.watch}, renew from ${l.renew} ${l.unit}`}
      className="mt-1 shrink-0"
    >
      <rect x={x(good)} y={26} width={x(l.watch) - x(good)} height={12} fill="var(--soft)" />
      <rect
        x={x(l.watch)}
        y={26}
        width={x(l.renew) - x(l.watch)}
        height={12}
        fill="url(#limited)"
        stroke="var(--soft)"
      />
      <path d={`M${x(l.renew)},32H${x(bad)}`} stroke="var(--renew)" strokeWidth={2} strokeDasharray="4 3" />
      {[
        [l.watch, "watch"],
        [l.renew, "renew"],
      ].map(([v, word]) => (
        <g key={word} textAnchor="middle">
          <path d={`M${x(Number(v))},22V48`} stroke="var(--ink)" strokeWidth={1.2} />
          <text className="m" x={x(Number(v))} y={61} fontSize={12.5} fontWeight={600} fill="var(--ink)">
            {rounded(Number(v), 2)}
          </text>
          <text x={x(Number(v))} y={17} fontSize={12} fill="var(--muted)">
            {word}
          </text>
        </g>
      ))}
      {shown && (
        <path
          d={`M${x(value)},40l-5,7h10ZM${x(value)},20V40`}
          fill="var(--accent)"
          stroke="var(--accent)"
          strokeWidth={2}
        />
      )}
    </svg>
  );
}
