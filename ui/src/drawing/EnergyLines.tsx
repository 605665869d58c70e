import type { Energy, Gate, Rail } from "../api/types";
import { glyph } from "./glyphs";
import { PartGlyph } from "./PartGlyph";

export const GATE_ROW = 100;
const WIDTH = 440;
const SOURCE = 54;
const PUMP_SCALE = 0.58;
const PUMP_X = 330;
const REACH = 104;

/**
 * Every energy as a line from its source to the pump: thick while live, pale dashes once proved gone,
 * with a hung tag on its source that carries the initials. Lines never cross: those above the pump
 * turn down later the lower they start, those below the other way round.
 */
export function EnergyLines({ gates, rails }: { gates: Gate[]; rails: Rail[] }) {
  const height = gates.length * GATE_ROW;
  const middle = height / 2;
  return (
    <svg
      width={WIDTH}
      height={height}
      viewBox={`0 0 ${WIDTH} ${height}`}
      role="img"
      aria-label={`${gates.filter((g) => !g.answered).length} of ${gates.length} energies still reach the pump`}
      className="shrink-0"
    >
      {gates.map((g, i) => {
        const y = i * GATE_ROW + GATE_ROW / 2;
        const enter = middle + (i - (gates.length - 1) / 2) * 15;
        const fromMiddle = Math.abs(i - (gates.length - 1) / 2);
        const turn = PUMP_X - REACH - 44 + fromMiddle * 13;
        return (
          <g key={g.id}>
            <path
              d={`M${SOURCE + 26},${y}H${turn}V${enter}H${PUMP_X - REACH + 12}`}
              fill="none"
              stroke={g.answered ? "var(--line)" : "var(--ink)"}
              strokeWidth={g.answered ? 1.2 : 3}
              {...(g.answered ? { strokeDasharray: "5 4" } : {})}
            />
            <Source energy={g.energy} x={SOURCE} y={y} cut={g.answered} />
            {g.answered ? <Tag x={SOURCE} y={y + 12} word={g.by} /> : null}
            <text
              x={SOURCE + 30}
              y={y - 8}
              fontSize={12.5}
              fontWeight={600}
              fill={g.answered ? "var(--muted)" : "var(--ink)"}
            >
              {g.answered ? (g.kind === "number" ? "proved gone" : "seen to") : "live"}
            </text>
          </g>
        );
      })}
      <Closed rails={rails} x={PUMP_X} y={middle} />
    </svg>
  );
}

/** The pump put together: the main line's parts pushed up to their block. */
function Closed({ rails, x, y }: { rails: Rail[]; x: number; y: number }) {
  const line = rails[0]?.lines.find((l) => l.axes === 1) ?? rails[0]?.lines[0];
  if (!line) return null;
  const middle = line.parts.find((p) => p.side === "" && glyph(p.glyph).radius > 20) ?? line.parts[0];
  if (!middle) return null;
  const half = glyph(middle.glyph).right;
  const ends = line.parts.filter((p) => p.side !== "" && glyph(p.glyph).radius >= 55);
  return (
    <g transform={`translate(${x} ${y}) scale(${PUMP_SCALE})`}>
      <path d="M-190,0H190" stroke="var(--ink)" strokeWidth={1.4} strokeDasharray="22 4 5 4" />
      {ends.map((p) => {
        const right = p.side === "B";
        return <PartGlyph key={p.id} name={p.glyph} x={right ? half + 2 : -half - 2} y={0} mirrored={right} />;
      })}
      <PartGlyph name={middle.glyph} x={0} y={0} />
    </g>
  );
}

const stroke = { fill: "none", stroke: "var(--ink)", strokeWidth: 1.8 } as const;

/** What each kind of energy is cut at. */
function Source({ energy, x, y, cut }: { energy: Energy | null; x: number; y: number; cut: boolean }) {
  const gap = cut ? "M-10,0H-26" : "M26,0H-26";
  const g = (() => {
    switch (energy) {
      case "air":
      case "pressure":
        return (
          <g {...stroke}>
            <path d={gap} strokeWidth={2.4} />
            <path d="M-10,-8L10,8V-8L-10,8Z" fill="var(--card)" />
            <path d={cut ? "M0,0V-14M-7,-14H7" : "M0,0V-14M0,-20V-8"} />
          </g>
        );
      case "heat":
        return (
          <g {...stroke}>
            <path d="M-22,-5H14A5,5 0 0 1 14,5H-22A9,9 0 1 1 -22,-5Z" fill="var(--card)" />
            <path d={cut ? "M-26,0H-8" : "M-26,0H12"} strokeWidth={5} />
          </g>
        );
      case "fluid":
        return (
          <g {...stroke}>
            <path
              d="M0,-15C-9,-3 -10,3 -10,5A10,10 0 0 0 10,5C10,3 9,-3 0,-15Z"
              fill={cut ? "var(--card)" : "var(--elastomer)"}
            />
            <path d="M-26,18H20" />
          </g>
        );
      case "spring":
        return (
          <path
            {...stroke}
            d={cut ? "M-26,0H-18L-14,-9L-10,9L-6,-9L-2,9L2,0H8" : "M-26,0H-20L-14,-9L-6,9L2,-9L10,9L16,0H26"}
          />
        );
      case "static":
        return (
          <g {...stroke}>
            <path d="M0,-14V2M-13,2H13M-8,8H8M-3,14H3" />
            <path d={cut ? "M-26,-14H0" : "M-26,-14H20"} />
          </g>
        );
      case "magnet":
        return <path {...stroke} d="M14,-12H-8A12,12 0 0 0 -8,12H14V5H-8A5,5 0 0 1 -8,-5H14Z" fill="var(--card)" />;
      case "mains":
        return (
          <g {...stroke}>
            <path d="M-26,0H-14M14,0H26" strokeWidth={2.4} />
            <path d={cut ? "M-14,0L10,-14" : "M-14,0H14"} strokeWidth={2.4} />
          </g>
        );
      default:
        return <path {...stroke} d="M-14,12L0,-12L14,12Z" fill="var(--card)" />;
    }
  })();
  return <g transform={`translate(${x} ${y})`}>{g}</g>;
}

/** A hung tag with initials marks a lock. */
function Tag({ x, y, word }: { x: number; y: number; word: string }) {
  return (
    <g transform={`translate(${x} ${y})`}>
      <path d="M-7,6V2A7,7 0 0 1 7,2V6" fill="none" stroke="var(--ink)" strokeWidth={3} />
      <path d="M-16,6H16V24L12,28H-12L-16,24Z" fill="var(--ink)" />
      <text className="m" x={0} y={21} textAnchor="middle" fontSize={13} fontWeight={700} fill="var(--card)">
        {word}
      </text>
    </g>
  );
}
