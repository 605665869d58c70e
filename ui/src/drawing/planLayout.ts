import type { Rail, RailPart } from "../api/types";
import { glyph } from "./glyphs";

/** A part of a head drawn in plan, with the point its label points at. */
export interface PlanPart {
  part: RailPart;
  /** Where the leader ends, in drawing units from the centre of the head. */
  anchor: { x: number; y: number };
  /** Covers and screws lie over the rest and are drawn so that it shows through. */
  cover: boolean;
}

/** A label beside the head. */
export interface PlanLabel {
  part: RailPart;
  side: "left" | "right";
  y: number;
  anchor: { x: number; y: number };
}

const LABEL_STEP = 19;

/** The first point of a part's outline, turned to where the part stands. */
function anchorOf(part: RailPart): { x: number; y: number } {
  const [, x = "0", y = "0"] = /^M\s*(-?[\d.]+)[,\s](-?[\d.]+)/.exec(glyph(part.glyph).outline) ?? [];
  const turned = (part.angle * Math.PI) / 180;
  const [px, py] = [Number(x), Number(y)];
  return { x: px * Math.cos(turned) - py * Math.sin(turned), y: px * Math.sin(turned) + py * Math.cos(turned) };
}

/** The parts of a rail seen in plan, the lowest first, so that each is drawn over what lies under it. */
export function planParts(rail: Rail): PlanPart[] {
  return rail.lines
    .flatMap((l) => l.parts)
    .map((part) => ({ part, anchor: anchorOf(part), cover: /cover|screws/.test(part.glyph) }))
    .sort((a, b) => b.part.at - a.part.at);
}

/** Labels left and right of the head, none over another, in the order of what they point at. */
export function planLabels(parts: PlanPart[], height: number): PlanLabel[] {
  const labels: PlanLabel[] = [];
  const rows = [...parts].sort((a, b) => a.anchor.x - b.anchor.x);
  const half = Math.ceil(rows.length / 2);
  for (const side of ["left", "right"] as const) {
    const mine = (side === "left" ? rows.slice(0, half) : rows.slice(half)).sort((a, b) => a.anchor.y - b.anchor.y);
    const step = Math.min(LABEL_STEP * 1.6, Math.max(LABEL_STEP, height / Math.max(1, mine.length)));
    mine.forEach((p, i) =>
      labels.push({ part: p.part, side, y: (i - (mine.length - 1) / 2) * step, anchor: p.anchor }),
    );
  }
  return labels;
}
