import { scaleLinear } from "d3-scale";
import type { ConsumableLine } from "../api/types";

import { MinimumMark } from "./MinimumMark";
import { unitWord } from "../text/shop";

const WIDTH = 274;
const HEIGHT = 34;
const TOP = HEIGHT - 22;
const TALL = 15;
const LEFT = 8;

/**
 * What is there of a consumable as one bar, with a stroke at each whole pack: solid what may be used,
 * hatched what is over its date, dashed what is missing to the minimum, whose mark stands over it.
 */
export function AmountStrip({ line }: { line: ConsumableLine }) {
  const over = line.lots.filter((l) => l.status === "over-age").reduce((n, l) => n + l.amount, 0);
  const missing = Math.max(0, line.minimum - line.inDate);
  const all = line.inDate + missing + over;
  const x = scaleLinear()
    .domain([0, Math.max(all, line.minimum * 1.25, line.pack)])
    .range([LEFT, WIDTH]);
  const packs = Array.from(
    { length: Math.min(20, Math.floor(line.inDate / line.pack)) },
    (_, i) => (i + 1) * line.pack,
  );
  const from = line.inDate + missing;
  return (
    <svg
      width={WIDTH + 20}
      height={HEIGHT}
      role="img"
      aria-label={`${line.inDate} ${unitWord(line.unit)} in date, ${over} over its date, minimum ${line.minimum}`}
    >
      <path d={`M2,${HEIGHT - 6}H${WIDTH}`} stroke="var(--line)" />
      {line.inDate > 0 && (
        <rect x={LEFT} y={TOP} width={x(line.inDate) - LEFT} height={TALL} fill="var(--soft)" stroke="var(--ink)" />
      )}
      {packs.map((amount) => (
        <path key={amount} d={`M${x(amount)},${TOP}v${TALL}`} stroke="var(--card)" />
      ))}
      {missing > 0 && (
        <rect
          x={x(line.inDate)}
          y={TOP}
          width={x(from) - x(line.inDate)}
          height={TALL}
          fill="none"
          stroke="var(--renew)"
          strokeDasharray="3 2.4"
        />
      )}
      {over > 0 && (
        <rect
          x={x(from) + 3}
          y={TOP}
          width={Math.max(3, x(from + over) - x(from) - 3)}
          height={TALL}
          fill="url(#limited)"
          stroke="var(--ink)"
        />
      )}
      {line.minimum > 0 && <MinimumMark x={x(line.minimum)} height={HEIGHT} />}
    </svg>
  );
}
