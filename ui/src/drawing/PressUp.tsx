import type { RailPart } from "../api/types";
import { glyph } from "./glyphs";
import { labelLines } from "./labelLines";
import { PartGlyph } from "./PartGlyph";

const HEIGHT = 138;
const GAP = 16;
const MOST_RADIUS = 46;
const LABEL = 36;

/** Parts that are put together beside the pump, in a row along one axis: a small stack of its own. */
export function PressUp({ parts }: { parts: RailPart[] }) {
  const scales = parts.map((p) => Math.min(1, MOST_RADIUS / glyph(p.glyph).radius));
  const widths = parts.map((p, i) =>
    Math.max(74, (glyph(p.glyph).right - glyph(p.glyph).left) * (scales[i] ?? 1) + GAP),
  );
  const total = widths.reduce((a, b) => a + b, 20);
  const axis = LABEL + MOST_RADIUS + 6;
  return (
    <figure className="mb-3 overflow-x-auto border border-line bg-card">
      <figcaption className="px-3 pt-1.5 text-small font-[640] text-soft">Put together beside the pump</figcaption>
      <svg
        width={Math.max(560, total)}
        height={HEIGHT}
        viewBox={`0 0 ${Math.max(560, total)} ${HEIGHT}`}
        className="block"
        role="group"
        aria-label="The parts of the press-up in their order"
      >
        <path d={`M10,${axis}H${total}`} stroke="var(--ink)" strokeWidth={0.9} strokeDasharray="22 3.5 4 3.5" />
        {parts.map((p, i) => {
          const g = glyph(p.glyph);
          const scale = scales[i] ?? 1;
          const middle = 10 + widths.slice(0, i).reduce((a, b) => a + b, 0) + (widths[i] ?? 0) / 2;
          return (
            <g key={p.id} role="img" aria-label={`${p.name}${p.facing ? `, ${p.facing}` : ""}`}>
              <PartGlyph
                name={p.glyph}
                x={middle - ((g.left + g.right) / 2) * scale}
                y={axis}
                scale={scale}
                mirrored={p.side === "B"}
              />
              {labelLines(p.name, "", widths[i] ?? 0).map((line, row) => (
                <text
                  key={line}
                  x={middle}
                  y={14 + row * 13}
                  textAnchor="middle"
                  fontSize={12}
                  fontWeight={620}
                  fill="var(--ink)"
                  style={{ fontStretch: "74%" }}
                >
                  {line}
                </text>
              ))}
            </g>
          );
        })}
      </svg>
    </figure>
  );
}
