import { scaleLinear } from "d3-scale";
import type { MeasureView } from "../api/types";
import { rounded } from "../text/numbers";

const HEIGHT = 52;

/** A measured quantity against its limits: solid good, hatched watch, dashes out, the reading a marker. */
export function MeasureScale({
  measure: m,
  typed,
  width,
}: {
  measure: MeasureView;
  typed: number | null;
  width: number;
}) {
  const span = m.renew - m.watch || 1;
  const from = m.asNew ?? m.watch - 1.4 * span;
  const out = m.renew + 0.7 * span;
  const x = scaleLinear()
    .domain([from, out])
    .range([12, width - 22])
    .clamp(true);
  const shown = typed ?? m.value;
  const at = shown === null ? null : m.eitherWay ? Math.abs(shown) : shown;
  const decimals = Math.abs(span) < 0.2 ? 2 : Math.abs(span) < 2 ? 1 : 0;
  const marks: [number, string][] = [
    ...(m.asNew === null ? [] : ([[m.asNew, "new"]] as [number, string][])),
    [m.watch, "watch"],
    [m.renew, "renew"],
  ];
  return (
    <svg
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={`Watch from ${m.watch}, renew from ${m.renew} ${m.unit}${at === null ? "" : `, reads ${shown}`}`}
      className="shrink-0"
    >
      <rect x={x(from)} y={10} width={x(m.watch) - x(from)} height={10} fill="var(--soft)" />
      <rect
        x={x(m.watch)}
        y={10}
        width={x(m.renew) - x(m.watch)}
        height={10}
        fill="url(#limited)"
        stroke="var(--soft)"
      />
      <path d={`M${x(m.renew)},15H${x(out)}`} stroke="var(--renew)" strokeWidth={2} strokeDasharray="4 3" />
      {marks.map(([v, word]) => (
        <g key={word} textAnchor="middle">
          <path d={`M${x(v)},6V26`} stroke="var(--ink)" strokeWidth={1.2} />
          <text className="m" x={x(v)} y={38} fontSize={12.5} fontWeight={600} fill="var(--ink)">
            {rounded(v, decimals + (word === "new" ? 0 : 1))}
          </text>
          <text x={x(v)} y={50} fontSize={11.5} fill="var(--muted)">
            {word}
          </text>
        </g>
      ))}
      {at !== null && (
        <g>
          <path d={`M${x(at)},0V28`} stroke="var(--accent)" strokeWidth={1.6} />
          <circle cx={x(at)} cy={15} r={4} fill="var(--accent)" stroke="var(--card)" strokeWidth={1.2} />
        </g>
      )}
    </svg>
  );
}
