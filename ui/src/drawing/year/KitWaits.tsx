import type { YearView } from "../../api/types";
import { counted } from "../../text/counted";
import { percent } from "../../text/numbers";

const ROW = 44;
const TALL = 16;

/** In which weeks a job waits for a kit: above the line by the second policy, under it by the first. */
export function KitWaits({ year, left, width }: { year: YearView; left: number; width: number }) {
  const narrow = width < 640;
  const from = narrow ? 20 : Math.max(left, 190);
  const to = narrow ? width - 20 : width - 150;
  const row = narrow ? ROW + 34 : ROW;
  const top = narrow ? 34 : 0;
  const step = (to - from) / year.weeks.length;
  const most = fullHeight(year);
  return (
    <svg width={width} height={row * year.kits.length} className="block" role="img" aria-label={spoken(year)}>
      {year.kits.map((k, i) => {
        const y = i * row + top + ROW / 2;
        const words = `${counted(k.there, "piece")}, ${counted(k.leadDays, "day")}`;
        return (
          <g key={k.number}>
            <text x={20} y={narrow ? y - 32 : y - 3} fontSize={14} fontWeight={680} fill="var(--ink)">
              {k.name}
            </text>
            <text
              x={narrow ? to : 20}
              y={narrow ? y - 32 : y + 12}
              textAnchor={narrow ? "end" : "start"}
              fontSize={12.5}
              fill="var(--soft)"
            >
              {words}
            </text>
            <path d={`M${from},${y}H${to}`} stroke="var(--ink)" strokeWidth={1.2} />
            {k.weeksRight.map((share, w) => (
              <rect
                key={w}
                x={from + w * step + 0.5}
                width={Math.max(1, step - 1.5)}
                y={y - (share / most) * TALL}
                height={(share / most) * TALL}
                fill="var(--accent)"
              />
            ))}
            {k.weeksLeft.map((share, w) => (
              <rect
                key={w}
                x={from + w * step + 0.5}
                width={Math.max(1, step - 1.5)}
                y={y}
                height={(share / most) * TALL}
                fill="var(--soft)"
              />
            ))}
            <text
              x={narrow ? from : width - 20}
              y={narrow ? y - 16 : y - 3}
              textAnchor={narrow ? "start" : "end"}
              fontSize={13.5}
              fontWeight={680}
              fill="var(--accent)"
            >
              {percent(k.right)} of 100 years
            </text>
            <text
              x={narrow ? to : width - 20}
              y={narrow ? y - 16 : y + 12}
              textAnchor="end"
              fontSize={12.5}
              fill="var(--soft)"
            >
              {year.left.title.toLowerCase()} {percent(k.left)}
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** The chance that a bar of full height stands for, 0 to 1. */
export const fullHeight = (year: YearView): number =>
  Math.max(0.02, ...year.kits.flatMap((k) => [...k.weeksLeft, ...k.weeksRight]));

function spoken(year: YearView): string {
  return year.kits
    .map(
      (k) =>
        `${k.name}: a job waits for one in ${percent(k.right)} of 100 years, ${year.left.title.toLowerCase()} in ${percent(k.left)}`,
    )
    .join("; ");
}
