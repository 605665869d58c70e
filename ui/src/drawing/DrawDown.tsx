import { torque as shown } from "../text/shop";
import { scaleLinear } from "d3-scale";
import type { TorqueView } from "../api/types";
import { MarkAt } from "../parts/Mark";

import { useSettings } from "../parts/settings";

const WIDTH = 334;
const HEIGHT = 200;
const LEFT = 78;
const BASE = 160;
const TOP = 12;

/** How far each fastener has been drawn down: a stem a bolt, a bar a pass, the range as a band. */
export function DrawDown({ torque, current }: { torque: TorqueView; current: number | null }) {
  const { unit } = useSettings();
  const most = Math.max(torque.maxNm, ...torque.fasteners.map((f) => f.readings.at(-1) ?? 0));
  const y = scaleLinear()
    .domain([0, most * 1.04])
    .range([BASE, TOP]);
  const gap = (WIDTH - LEFT - 12) / torque.count;
  const x = (n: number) => LEFT + gap * (n - 0.5);
  const early = torque.passes.filter((p) => p.percent < 100);
  return (
    <svg
      width={WIDTH}
      height={HEIGHT}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label="Torque of each fastener against the range"
      className="shrink-0"
    >
      <rect
        x={LEFT}
        y={y(torque.maxNm)}
        width={WIDTH - LEFT - 8}
        height={y(torque.minNm) - y(torque.maxNm)}
        fill="var(--wash)"
      />
      <path
        d={`M${LEFT},${y(torque.maxNm)}H${WIDTH - 8}M${LEFT},${y(torque.minNm)}H${WIDTH - 8}`}
        stroke="var(--accent)"
      />
      {early.map((p) => {
        const at = y((torque.targetNm * p.percent) / 100);
        return (
          <g key={p.number}>
            <path d={`M${LEFT},${at}H${WIDTH - 8}`} stroke="var(--line)" />
            <text x={0} y={at + 5} fontSize={14} fontWeight={580} fill="var(--ink)">
              {p.percent} %
            </text>
            <text className="m" x={LEFT - 8} y={at + 5} textAnchor="end" fontSize={12.5} fill="var(--muted)">
              {shown((torque.targetNm * p.percent) / 100, unit)}
            </text>
          </g>
        );
      })}
      <path d={`M${LEFT},${BASE}H${WIDTH - 8}`} stroke="var(--ink)" strokeWidth={1.2} />
      <text x={0} y={(y(torque.minNm) + y(torque.maxNm)) / 2 + 5} fontSize={15} fontWeight={740} fill="var(--accent)">
        100 %
      </text>
      <g className="m" fontSize={12.5} fontWeight={600} textAnchor="end" fill="var(--accent)">
        <text className="m" x={LEFT - 8} y={y(torque.maxNm) + 2}>
          {shown(torque.maxNm, unit)}
        </text>
        <text className="m" x={LEFT - 8} y={Math.max(y(torque.minNm) + 5, y(torque.maxNm) + 15)}>
          {shown(torque.minNm, unit)}
        </text>
      </g>
      {Array.from({ length: torque.count }, (_, i) => i + 1).map((n) => (
        <Stem key={n} n={n} x={x(n)} y={y} torque={torque} current={n === current} narrow={gap < 30} />
      ))}
    </svg>
  );
}

interface StemProps {
  n: number;
  x: number;
  y: (nm: number) => number;
  torque: TorqueView;
  current: boolean;
  narrow: boolean;
}

function Stem({ n, x, y, torque, current, narrow }: StemProps) {
  const { unit } = useSettings();
  const read = torque.fasteners.find((f) => f.number === n);
  const last = read?.readings.at(-1);
  const missed = read !== undefined && read.lie !== "in-range";
  const passed = torque.passes.filter((p) => p.done && p.percent < 100);
  const reached = (p: { percent: number }) => (torque.targetNm * p.percent) / 100;
  const top = last ?? Math.max(0, ...passed.map(reached));
  const colour = current ? "var(--accent)" : "var(--ink)";
  return (
    <g>
      <path d={`M${x},${BASE}V${y(top)}`} stroke={colour} strokeWidth={current ? 2 : 1.4} />
      {passed.map((p) => (
        <path key={p.number} d={`M${x - 5},${y(reached(p))}H${x + 5}`} stroke={colour} strokeWidth={1.6} />
      ))}
      {last !== undefined ? (
        <g>
          <circle cx={x} cy={y(last)} r={missed ? 9.5 : 6.5} fill="var(--card)" />
          <MarkAt
            state={missed ? (read?.acceptedBecause ? "watch" : "renew") : "sound"}
            x={x}
            y={y(last)}
            r={missed ? 8 : 6.5}
          />
        </g>
      ) : (
        current && (
          <g>
            <path
              d={`M${x},${y(top)}V${y(torque.targetNm) + 8}`}
              stroke="var(--accent)"
              strokeWidth={1.6}
              strokeDasharray="3 3"
            />
            <circle
              cx={x}
              cy={y(torque.targetNm)}
              r={7}
              fill="var(--card)"
              stroke="var(--accent)"
              strokeWidth={2}
              strokeDasharray="3.2 2.3"
            />
          </g>
        )
      )}
      <text
        className="m"
        x={x}
        y={BASE + 17}
        textAnchor="middle"
        fontSize={13.5}
        fontWeight={700}
        fill={current ? "var(--accent)" : read ? "var(--ink)" : "var(--muted)"}
      >
        {n}
      </text>
      {!narrow && (
        <text
          className="m"
          x={x}
          y={BASE + 34}
          textAnchor="middle"
          fontSize={11.2}
          letterSpacing={-0.5}
          fontWeight={missed ? 700 : 500}
          fill={missed ? "var(--renew)" : "var(--ink)"}
        >
          {last === undefined ? (current ? "" : "–") : read?.clicked ? "click" : shown(last, unit)}
        </text>
      )}
    </g>
  );
}
