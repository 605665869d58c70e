import { months } from "./months";

/** The names of the months under a row of weeks. */
export function Months({
  weeks,
  at,
  y,
}: {
  weeks: readonly { from: string }[];
  at: (week: number) => number;
  y: number;
}) {
  const all = months(weeks);
  const close = all.length > 1 && at(all[1]?.week ?? 0) - at(all[0]?.week ?? 0) < 34;
  return (
    <g>
      {all.map((m, i) => (
        <g key={m.week}>
          <path d={`M${at(m.week)},${y}v6`} stroke="var(--ink)" />
          {(!close || i % 2 === 0) && (
            <text x={at(m.week) + 3} y={y + 17} fontSize={12.5} fill="var(--muted)">
              {m.name}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
