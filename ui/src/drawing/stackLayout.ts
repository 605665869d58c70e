import type { Rail, RailLine, RailPart } from "../api/types";
import { glyph } from "./glyphs";

/** A column of the stack: the parts that stand at one place of a line. */
export interface Column {
  line: RailLine;
  parts: RailPart[];
  /** Left edge, axis position of the glyphs and right edge, in drawing units. */
  from: number;
  x: number;
  to: number;
  mirrored: boolean;
}

/** Where the axis turns a quarter between a line of one axis and a line of two. */
export interface Turn {
  x: number;
  /** The forked line lies left of the turn. */
  forkLeft: boolean;
  note: string;
}

export interface StackLayout {
  columns: Column[];
  turns: Turn[];
}

const LEAST_COLUMN = 58;
const TURN_WIDTH = 40;
const ELBOW = 8;

/** The long glyph of a column, such as the shaft through the block, does not widen it. */
function extent(parts: RailPart[]): { left: number; right: number } {
  const shapes = parts.map((p) => glyph(p.glyph)).filter((g) => g.radius > 8 || parts.length === 1);
  return {
    left: Math.min(...shapes.map((g) => g.left)),
    right: Math.max(...shapes.map((g) => g.right)),
  };
}

/** The width at which a rail is drawn without squeezing it, drawing units. */
export function naturalWidth(rail: Rail, margin: number): number {
  return measured(rail).taken + 2 * margin;
}

/** What each column needs, where the axis forks, and what all of it takes. */
function measured(rail: Rail) {
  const raw = rail.lines.flatMap((line) => {
    const places = [...new Set(line.parts.map((p) => p.at))].sort((a, b) => a - b);
    return places.map((at) => ({ line, parts: line.parts.filter((p) => p.at === at) }));
  });
  const needs = raw.map(({ line, parts }) => {
    const mirrored = line.mirrored || parts[0]?.side === "B";
    const { left, right } = extent(parts);
    return {
      mirrored,
      left: mirrored ? -right : left,
      wide: Math.max(LEAST_COLUMN, right - left + ELBOW * 2),
      glyphWidth: right - left,
    };
  });
  const forks = raw.map((c, i) => i > 0 && raw[i - 1]?.line.axes !== c.line.axes);
  const taken = needs.reduce((sum, n) => sum + n.wide, 0) + forks.filter(Boolean).length * TURN_WIDTH;
  return { raw, needs, forks, taken };
}

/**
 * Lays a rail's parts out from left to right over {@code width} drawing units. Only the sheet's
 * lines, places and sides decide: columns in the order of their place, as wide as their widest
 * glyph, what is left over shared out evenly.
 */
export function stackLayout(rail: Rail, width: number, margin: number): StackLayout {
  const { raw, needs, forks, taken } = measured(rail);
  const spare = Math.max(0, width - 2 * margin - taken) / Math.max(1, raw.length);
  const squeeze = Math.min(1, (width - 2 * margin) / taken);
  const columns: Column[] = [];
  const turns: Turn[] = [];
  let from = margin;
  raw.forEach(({ line, parts }, i) => {
    const need = needs[i];
    if (!need) return;
    if (forks[i]) {
      const before = raw[i - 1]?.line;
      turns.push({
        x: from + (TURN_WIDTH * squeeze) / 2,
        forkLeft: (before?.axes ?? 1) > line.axes,
        note: (before && before.axes > 1 ? before.note : line.note) ?? "",
      });
      from += TURN_WIDTH * squeeze;
    }
    const to = from + need.wide * squeeze + spare;
    const x = (from + to) / 2 - (need.left + need.glyphWidth / 2);
    columns.push({ line, parts, from, x, to, mirrored: need.mirrored });
    from = to;
  });
  return { columns, turns };
}
