import type { SetupTableId, SetupTableInShort } from "../../api/types";
import { MarkAt, type State } from "../../parts/Mark";
import { Ghost, PartGlyph } from "../../drawing/PartGlyph";

/** A part of the drawn pump, and the tables of the shop it stands for. */
interface Place {
  glyph: string;
  /** Its axis point, px from the middle of the pump. */
  at: number;
  title: string[];
  tables: SetupTableId[];
}

/** From the middle outward, in the order in which such a pump is put together. */
const PLACES: Place[] = [
  { glyph: "inner-plate", at: 132, title: ["Areas"], tables: ["areas"] },
  { glyph: "diaphragm", at: 196, title: ["Pumps"], tables: ["pumps"] },
  { glyph: "outer-plate", at: 262, title: ["What is", "in them"], tables: ["duties", "fitted-parts", "energies"] },
  { glyph: "fluid-cap", at: 346, title: ["Wrenches,", "gauges"], tables: ["wrenches", "gauges"] },
  { glyph: "seats", at: 424, title: ["Prices"], tables: ["kits", "offers", "consumable-offers"] },
  { glyph: "balls", at: 474, title: ["Kits"], tables: ["lots"] },
  { glyph: "manifold", at: 514, title: ["Shifts,", "stops"], tables: ["shifts", "line-stops"] },
];

const AXIS = 100;
const NAMES = 14;
const COUNTS = 190;
const HEIGHT = 208;

/** How full the tables of a place are, and the rows in them. */
export function filled(tables: SetupTableInShort[], place: { tables: SetupTableId[] }): { state: State; rows: number } {
  const counts = tables.filter((t) => place.tables.includes(t.table)).map((t) => t.rows);
  const rows = counts.reduce((sum, n) => sum + n, 0);
  return { state: rows === 0 ? "unknown" : counts.includes(0) ? "watch" : "sound", rows };
}

/** A pump that is put together as the shop fills: what is still missing is only an outline. */
export function ShopFilling({ tables }: { tables: SetupTableInShort[] }) {
  const places = PLACES.map((p) => ({ ...p, ...filled(tables, p) }));
  const next = places.find((p) => p.state !== "sound");
  if (!next) return null;
  const there = places.filter((p) => p.state === "sound").length;
  const says = `${there} of ${places.length} in`;
  return (
    <svg
      viewBox={`-608 0 1216 ${HEIGHT}`}
      role="img"
      aria-label={`The shop as a pump: ${says}. Next: ${next.title.join(" ").toLowerCase()}.`}
      className="block w-full border-t-[1.5px] border-ink bg-card max-[1000px]:hidden"
    >
      {[-1, 1].map((side) => (
        <rect key={side} x={side * next.at - 36} width={72} height={HEIGHT} fill="var(--wash)" />
      ))}
      <path d={`M-590,${AXIS}H590`} stroke="var(--ink)" strokeWidth={0.9} strokeDasharray="18 4 4 4" />
      <PartGlyph name="shaft" x={0} y={AXIS} />
      <PartGlyph name="centre-block" x={0} y={AXIS} />
      {places.map((p) => (
        <g key={p.glyph}>
          <At place={p} next={p === next} />
          <At place={p} next={p === next} mirrored />
          <Name place={p} next={p === next} />
        </g>
      ))}
      <text x={590} y={22} textAnchor="end" fontSize={14} fontWeight={640} fill="var(--ink)">
        The pump closes as the shop fills;
      </text>
      <text x={590} y={41} textAnchor="end" fontSize={13} fill="var(--soft)">
        side B follows side A
      </text>
      <text x={590} y={COUNTS + 5} textAnchor="end" fontSize={14} fontWeight={640} fill="var(--ink)">
        {says}
      </text>
    </svg>
  );
}

type Drawn = Place & { state: State; rows: number };

/** The part on one side: whole, lifted in the colour of the work in hand, or an outline. */
function At({ place: p, next, mirrored = false }: { place: Drawn; next: boolean; mirrored?: boolean }) {
  const x = mirrored ? p.at : -p.at;
  if (p.state === "sound") return <PartGlyph name={p.glyph} x={x} y={AXIS} mirrored={mirrored} />;
  if (next && p.rows > 0) return <PartGlyph name={p.glyph} x={x} y={AXIS} mirrored={mirrored} ink="hand" />;
  return <Ghost name={p.glyph} x={x} y={AXIS} mirrored={mirrored} hand={next} />;
}

function Name({ place: p, next }: { place: Drawn; next: boolean }) {
  const ink = next ? "var(--accent)" : p.state === "unknown" ? "var(--muted)" : "var(--ink)";
  return (
    <g fontSize={13} textAnchor="middle" fill={ink} fontWeight={next ? 720 : 600}>
      {p.title.map((line, i) => (
        <text key={line} x={-p.at} y={NAMES + i * 14 + (p.title.length === 1 ? 7 : 0)}>
          {line}
        </text>
      ))}
      <MarkAt state={p.state} x={-p.at} y={COUNTS - 16} r={6} />
      <text x={-p.at} y={COUNTS + 10}>
        {p.rows === 0 ? "none" : p.rows}
      </text>
    </g>
  );
}
