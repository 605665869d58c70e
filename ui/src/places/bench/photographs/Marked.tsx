import type { PhotographMark, PhotographView } from "../../../api/types";
import { path } from "./marks";

/** What was drawn on a picture: accent with a pale rim, so that it shows on steel and on rubber. */
export function Marks({ marks, width, height }: { marks: PhotographMark[]; width: number; height: number }) {
  const stroke = 0.006 * Math.max(width, height);
  const size = 0.026 * Math.max(width, height);
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round">
      {marks.map((m, i) => {
        const d = path(m, width, height);
        const [x, y] =
          m.shape === "arrow"
            ? [m.fromX * width, m.fromY * height]
            : [Math.max(m.fromX, m.toX) * width, Math.min(m.fromY, m.toY) * height];
        const left = x > 0.7 * width;
        return (
          <g key={i}>
            <path d={d} stroke="var(--card)" strokeWidth={2.4 * stroke} />
            <path d={d} stroke="var(--accent)" strokeWidth={stroke} />
            {m.label && (
              <text
                x={left ? x - size / 2 : x + size / 2}
                y={y - size / 2}
                textAnchor={left ? "end" : "start"}
                fontSize={size}
                fontWeight={640}
                fill="var(--accent)"
                stroke="var(--card)"
                strokeWidth={size / 4}
                paintOrder="stroke"
              >
                {m.label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** A photograph with what was drawn on it. */
export function Marked({
  photograph: p,
  className = "",
  fills = false,
}: {
  photograph: PhotographView;
  className?: string;
  /** Whether it fills its box, cut where it is longer. */
  fills?: boolean;
}) {
  return (
    <svg
      viewBox={`0 0 ${p.width} ${p.height}`}
      preserveAspectRatio={fills ? "xMidYMid slice" : "xMidYMid meet"}
      className={className}
      role="img"
      aria-label={`${p.title}, ${p.at}${p.marks.map((m) => (m.label ? `, ${m.label}` : "")).join("")}`}
    >
      <image href={`/api/v1/photographs/${p.id}.jpg`} width={p.width} height={p.height} />
      <Marks marks={p.marks} width={p.width} height={p.height} />
    </svg>
  );
}
