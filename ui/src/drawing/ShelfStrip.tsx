import type { StockLine } from "../api/types";
import { MinimumMark } from "./MinimumMark";

const BOX = 15;
const GAP = 5;
const HEIGHT = 34;
const MOST = 12;

/**
 * The pieces of a kit in a row: whole boxes may be fitted, half ones are held for a job, notched ones
 * are over-age, dashed ones are missing to the minimum, whose mark stands behind its last piece.
 */
export function ShelfStrip({ line }: { line: StockLine }) {
  const over = line.lots.filter((l) => l.status === "over-age").reduce((n, l) => n + l.quantity, 0);
  const free = Math.max(0, line.inDate - line.reserved);
  const missing = Math.max(0, (line.minimum ?? 0) - free);
  const boxes = [
    ...Array.from({ length: free }, () => "free" as const),
    ...Array.from({ length: missing }, () => "missing" as const),
    ...Array.from({ length: line.reserved }, () => "held" as const),
    ...Array.from({ length: over }, () => "over" as const),
  ];
  const shown = boxes.slice(0, MOST);
  const x = (i: number) => 8 + i * (BOX + GAP);
  const at = line.minimum === null ? null : x(Math.min(MOST, line.minimum)) - GAP / 2;
  return (
    <svg
      width={x(MOST) + 26}
      height={HEIGHT}
      role="img"
      aria-label={`${free} free, ${line.reserved} held, ${over} over-age, minimum ${line.minimum ?? "not known"}`}
    >
      <path d={`M2,${HEIGHT - 6}H${x(MOST)}`} stroke="var(--line)" />
      {shown.map((kind, i) => (
        <Box key={i} kind={kind} x={x(i)} y={HEIGHT - 7 - BOX} />
      ))}
      {boxes.length > MOST && (
        <text className="m" x={x(MOST)} y={HEIGHT - 10} fontSize={12} fill="var(--muted)">
          +{boxes.length - MOST}
        </text>
      )}
      {at !== null && <MinimumMark x={at} height={HEIGHT} />}
    </svg>
  );
}

function Box({ kind, x, y }: { kind: "free" | "held" | "missing" | "over"; x: number; y: number }) {
  const outline = { x, y, width: BOX, height: BOX };
  switch (kind) {
    case "free":
      return <rect {...outline} fill="var(--soft)" stroke="var(--ink)" />;
    case "held":
      return (
        <g>
          <rect {...outline} fill="var(--card)" stroke="var(--ink)" />
          <path d={`M${x},${y + BOX}V${y}L${x + BOX},${y + BOX}Z`} fill="var(--accent)" />
        </g>
      );
    case "missing":
      return <rect {...outline} fill="none" stroke="var(--renew)" strokeWidth={1.4} strokeDasharray="3 2.4" />;
    case "over":
      return (
        <path
          d={`M${x},${y}H${x + BOX * 0.45}L${x + BOX * 0.5},${y + BOX * 0.55}L${x + BOX},${y + BOX * 0.5}V${y + BOX}H${x}Z`}
          fill="var(--renew)"
        />
      );
  }
}
