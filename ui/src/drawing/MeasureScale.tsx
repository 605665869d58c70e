import { scaleLinear } from "d3-scale";
import type { MeasureView } from "../api/types";
import { rounded, sentence } from "../text/numbers";

const HEIGHT = 52;

/** Where the marks of a scale with a bad end on both sides stand, as shares of it: room for their words. */
const BOTH_SIDES = [0, 0.13, 0.36, 0.64, 0.87, 1];

/** Beyond the renew mark a scale goes on for this share of the way from watch to renew. */
const BEYOND = 0.7;

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
  const out = m.renew + BEYOND * span;
  const [left, right] = [12, width - 22];
  const ends = m.above
    ? [out, m.renew, m.watch, m.above.watch, m.above.renew, m.above.renew + BEYOND * (m.above.renew - m.above.watch)]
    : [m.asNew ?? m.watch - 1.4 * span, out];
  const x = scaleLinear()
    .domain(ends)
    .range(m.above ? BOTH_SIDES.map((share) => left + share * (right - left)) : [left, right])
    .clamp(true);
  const edges = m.above ? [m, m.above] : [m];
  const sound = m.above ? m.above.watch : (ends[0] ?? m.watch);
  const shown = typed ?? m.value;
  const at = shown === null ? null : m.eitherWay ? Math.abs(shown) : shown;
  const decimals = Math.abs(span) < 0.2 ? 2 : Math.abs(span) < 2 ? 1 : 0;
  const marks: [number, string][] = [
    ...(m.asNew === null || m.above ? [] : ([[m.asNew, "new"]] as [number, string][])),
    ...edges.flatMap(({ watch, renew }): [number, string][] => [
      [watch, "watch"],
      [renew, "renew"],
    ]),
  ];
  const limits = edges.map(({ watch, renew }) => `watch from ${watch}, renew from ${renew} ${m.unit}`).join("; ");
  return (
    <svg
      width={width}
      height={HEIGHT}
      role="img"
      aria-label={`${sentence(limits)}${at === null ? "" : `, reads ${shown}`}`}
      className="shrink-0"
    >
      <rect {...between(x(sound), x(m.watch))} y={10} height={10} fill="var(--soft)" />
      {edges.map(({ watch, renew }) => (
        <g key={watch}>
          <rect {...between(x(watch), x(renew))} y={10} height={10} fill="url(#limited)" stroke="var(--soft)" />
          <path
            d={`M${x(renew)},15H${x(renew + BEYOND * (renew - watch))}`}
            stroke="var(--renew)"
            strokeWidth={2}
            strokeDasharray="4 3"
          />
        </g>
      ))}
      {marks.map(([v, word]) => (
        <g key={`${word} ${v}`} textAnchor="middle">
          <path d={`M${x(v)},6V26`} stroke="var(--ink)" strokeWidth={1.2} />
          <text className="m" x={x(v)} y={38} fontSize={12.5} fontWeight={600} fill="var(--ink)">
            {rounded(v, decimals + (word === "new" || m.above ? 0 : 1))}
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

/** A stretch of the scale, whichever end is left. */
function between(one: number, other: number) {
  return { x: Math.min(one, other), width: Math.abs(one - other) };
}
