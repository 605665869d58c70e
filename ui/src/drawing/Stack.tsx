import { useEffect, useRef } from "react";
import { MarkAt, STATE_WORDS } from "../parts/Mark";
import type { Rail, RailPart } from "../api/types";
import { glyph } from "./glyphs";
import { labelLines } from "./labelLines";
import { Ghost, PartGlyph } from "./PartGlyph";
import { naturalWidth, stackLayout, type Column } from "./stackLayout";

const WIDTH = 1280;
const LEAST_NATURAL = 680;
const HEIGHT = 256;
const BARE_HEIGHT = 194;
const AXIS = 109;
const FORK = 30;
const TRAY = 193;
const TRAY_FLOOR = 249;
const MARGIN = 58;
const LIFT = 14;
const TRAY_SCALE = 0.5;
const CHAIN = "22 3.5 4 3.5";

interface Props {
  rail: Rail;
  /** Called with the parts of a column when it is pressed. */
  onPress?: (parts: RailPart[]) => void;
  /** Without the tray: only what stands where. */
  bare?: boolean;
  /** As wide as it is, scrolled sideways, for where there is little room. */
  natural?: boolean;
}

/**
 * The pump as an exploded half-section, drawn from the sheet: in place on the line, in hand lifted
 * in accent, off on the tray with a ghost at home and a leader between.
 */
export function Stack({ rail, onPress, bare = false, natural = false }: Props) {
  const width = natural ? Math.max(LEAST_NATURAL, naturalWidth(rail, MARGIN)) : WIDTH;
  const { columns, turns } = stackLayout(rail, width, MARGIN);
  const inHandAt = columns.find(isInHand)?.x ?? null;
  const scroller = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const box = scroller.current;
    if (box && inHandAt !== null) box.scrollLeft = (inHandAt / width) * box.scrollWidth - box.clientWidth / 2;
  }, [inHandAt, width]);
  const first = columns[0];
  const last = columns.at(-1);
  if (!first || !last) return null;
  return (
    <div ref={scroller} className="overflow-x-auto border-b border-ink bg-card">
      <svg
        viewBox={`0 0 ${width} ${bare ? BARE_HEIGHT : HEIGHT}`}
        className="block w-full"
        style={{ minWidth: natural ? width : 1180 }}
        role="group"
        aria-label={`${rail.title}, drawn in a row: on the line what is in place, lifted what is in hand, below what is on the tray`}
      >
        {!bare && <Tray columns={columns} from={first.from} to={last.to} />}
        {columns.filter(isInHand).map((c) => (
          <g key={key(c)}>
            <path d={`M${c.from},0H${c.to}V${HEIGHT}H${c.from}Z`} fill="var(--wash)" />
            <path d={`M${c.from},0V${HEIGHT}M${c.to},0V${HEIGHT}`} stroke="var(--accent)" opacity={0.5} />
          </g>
        ))}
        <Axes columns={columns} turns={turns} />
        {turns.map((t) => (
          <g key={t.x}>
            <path
              d={`M${t.x + (t.forkLeft ? -8 : 8)},${AXIS - FORK}H${t.x}V${AXIS + FORK}H${t.x + (t.forkLeft ? -8 : 8)}`}
              stroke="var(--muted)"
              strokeWidth={0.9}
              fill="none"
            />
            <g transform={`translate(${t.x} ${AXIS}) scale(${t.forkLeft ? 1 : -1} 1)`}>
              <circle r={9} fill="var(--card)" stroke="var(--muted)" strokeWidth={0.9} />
              <path d="M-4.4,2.4A4.8,4.8 0 1 1 2.4,4.2" fill="none" stroke="var(--ink)" strokeWidth={1.3} />
              <path d="M4.6,1.4L2.2,6.8L-0.8,2.6Z" fill="var(--ink)" />
            </g>
            <text x={t.x} y={AXIS + 48} textAnchor="middle" fontSize={12} fill="var(--muted)">
              {t.note}
            </text>
          </g>
        ))}
        {columns.map((c) => (
          <ColumnDrawing key={key(c)} column={c} bare={bare} {...(onPress ? { onPress } : {})} />
        ))}
        {!bare && (
          <g>
            <text x={20} y={TRAY_FLOOR - 22} fontSize={12} fontWeight={640} fill="var(--soft)">
              On
            </text>
            <text x={20} y={TRAY_FLOOR - 9} fontSize={12} fontWeight={640} fill="var(--soft)">
              tray
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}

/** How far a part that is undone, but still caught on its shaft, is drawn from its place. */
const ASIDE = 14;

const key = (c: Column) => `${c.line.id}-${c.parts[0]?.at}`;
const lead = (c: Column): RailPart | undefined => c.parts[0];
const isInHand = (c: Column) => c.parts.some((p) => p.where === "in-hand");
const isOff = (c: Column) => lead(c)?.where === "off";
const middle = (c: Column) => (c.from + c.to) / 2;

function Tray({ columns, from, to }: { columns: Column[]; from: number; to: number }) {
  return (
    <g>
      {columns.filter(isOff).map((c) => (
        <rect key={key(c)} x={c.from} y={TRAY} width={c.to - c.from} height={TRAY_FLOOR - TRAY} fill="var(--tray)" />
      ))}
      {columns.map((c) => (
        <path key={key(c)} d={`M${c.to},${TRAY}V${TRAY_FLOOR}`} stroke="var(--line)" />
      ))}
      <path
        d={`M${from},${TRAY - 6}V${TRAY_FLOOR}H${to}V${TRAY - 6}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
    </g>
  );
}

/** The centre line, forked where a line has an axis for each side. */
function Axes({ columns, turns }: { columns: Column[]; turns: { x: number; forkLeft: boolean }[] }) {
  const runs: { from: number; to: number; forked: boolean }[] = [];
  for (const c of columns) {
    const run = runs.at(-1);
    const forked = c.line.axes > 1;
    if (run && run.forked === forked) run.to = c.to;
    else runs.push({ from: c.from, to: c.to, forked });
  }
  runs.forEach((run, i) => {
    run.from = i > 0 ? (turns[i - 1]?.x ?? run.from) + 8 : run.from - 4;
    run.to = turns[i] ? (turns[i]?.x ?? run.to) - 8 : run.to + 4;
  });
  return (
    <g strokeDasharray={CHAIN} fill="none">
      {runs.map((r) =>
        r.forked ? (
          [-FORK, FORK].map((dy) => (
            <path
              key={`${r.from}${dy}`}
              d={`M${r.from},${AXIS + dy}H${r.to}`}
              stroke="var(--muted)"
              strokeWidth={0.8}
            />
          ))
        ) : (
          <path key={r.from} d={`M${r.from},${AXIS}H${r.to}`} stroke="var(--ink)" strokeWidth={0.9} />
        ),
      )}
    </g>
  );
}

interface ColumnProps {
  column: Column;
  bare: boolean;
  onPress?: (parts: RailPart[]) => void;
}

function ColumnDrawing({ column: c, bare, onPress }: ColumnProps) {
  const part = lead(c);
  if (!part) return null;
  const hand = isInHand(c);
  const off = isOff(c);
  const press = onPress ? () => onPress(c.parts) : undefined;
  const spoken = c.parts
    .map((p) => `${p.name}, ${p.where.replace("-", " ")}, ${STATE_WORDS[p.state]}${p.word ? `, ${p.word}` : ""}`)
    .join("; ");
  return (
    <g
      {...(press
        ? {
            role: "button",
            onClick: press,
            onKeyDown: (e) => (e.key === "Enter" || e.key === " ") && press(),
            className: "cursor-pointer",
          }
        : { role: "img" })}
      tabIndex={0}
      aria-label={spoken}
    >
      {press && <rect x={c.from} y={0} width={c.to - c.from} height={HEIGHT} fill="transparent" />}
      <title>{spoken}</title>
      {c.parts.map((p) => (
        <PartAtHome key={p.id} part={p} column={c} />
      ))}
      <Label column={c} hand={hand} />
      {part.faces && !(off && part.side) && <Facing column={c} part={part} y={off ? 46 : 169} />}
      {bare ? null : off ? <OnTray column={c} /> : <Standing column={c} hand={hand} />}
    </g>
  );
}

function PartAtHome({ part: p, column: c }: { part: RailPart; column: Column }) {
  const at = { name: p.glyph, x: c.x, mirrored: c.mirrored };
  if (p.where === "in-hand") {
    return (
      <g>
        <Ghost {...at} y={AXIS} hand />
        <PartGlyph {...at} y={AXIS - LIFT} ink="hand" />
      </g>
    );
  }
  if (p.where === "aside") {
    return (
      <g>
        <Ghost {...at} y={AXIS} />
        <PartGlyph {...at} x={c.x + ASIDE} y={AXIS} ink="hand" />
        <path d={`M${c.x},${AXIS + 60}h${ASIDE + 12}`} stroke="var(--accent)" strokeWidth={1.4} />
        <path d={`M${c.x + ASIDE + 16},${AXIS + 60}l-7,-3.5v7z`} fill="var(--accent)" />
      </g>
    );
  }
  return p.where === "off" ? <Ghost {...at} y={AXIS} /> : <PartGlyph {...at} y={AXIS} />;
}

function Label({ column: c, hand }: { column: Column; hand: boolean }) {
  const part = lead(c);
  const side = part?.side ?? "";
  const name =
    part && side && part.name.endsWith(` ${side}`) ? part.name.slice(0, -side.length - 1) : (part?.name ?? "");
  const tight = c.to - c.from < 64;
  const lines = labelLines(hand && side ? `${name} ${side}` : name, hand ? "" : side, c.to - c.from);
  return (
    <g textAnchor="middle" fill={hand ? "var(--accent)" : "var(--ink)"}>
      {lines.map((line, i) => {
        const onlySide = line === side;
        return (
          <text
            key={line}
            x={middle(c)}
            y={18 + i * 13}
            fontSize={onlySide ? 11.5 : 12.5}
            fontWeight={onlySide ? 540 : hand ? 720 : 640}
            {...(onlySide ? { fill: "var(--muted)" } : {})}
            style={{ fontStretch: tight ? "67%" : "76%" }}
          >
            {line}
          </text>
        );
      })}
    </g>
  );
}

/** One arrow with one word says which way a face looks. */
function Facing({ column: c, part, y }: { column: Column; part: RailPart; y: number }) {
  const inward = c.mirrored ? -1 : 1;
  const dir = part.toward === "in" ? inward : -inward;
  const x = middle(c);
  return (
    <g>
      <path d={`M${x - dir * 12},${y}H${x + dir * 6}`} stroke="var(--ink)" strokeWidth={1.4} />
      <path d={`M${x + dir * 12},${y}l${-dir * 7},-3v6Z`} fill="var(--ink)" />
      <text x={x} y={y + 16} textAnchor="middle" fontSize={11.5} fontWeight={600} fill="var(--ink)">
        {part.faces}
      </text>
    </g>
  );
}

function OnTray({ column: c }: { column: Column }) {
  const part = lead(c);
  if (!part) return null;
  const g = glyph(part.glyph);
  const scale = Math.min(TRAY_SCALE, 50 / (2 * g.radius), (c.to - c.from - 28) / (g.right - g.left));
  const centre = ((g.left + g.right) / 2) * scale * (c.mirrored ? -1 : 1);
  const x = middle(c) - 8;
  const y = (TRAY + TRAY_FLOOR) / 2;
  return (
    <g>
      <path d={`M${middle(c)},${TRAY + 2}V${AXIS + 52}`} stroke="var(--soft)" strokeWidth={0.8} />
      <circle cx={middle(c)} cy={AXIS + 52} r={2.3} fill="var(--card)" stroke="var(--soft)" />
      <g>
        <PartGlyph name={part.glyph} x={x - centre} y={y} ink="tray" scale={scale} mirrored={c.mirrored} />
      </g>
      {c.parts.slice(0, 3).map((p, i) => (
        <MarkAt key={p.id} state={p.state} x={c.to - 12} y={TRAY + 13 + i * 17} r={5.5} />
      ))}
    </g>
  );
}

function Standing({ column: c, hand }: { column: Column; hand: boolean }) {
  const shown = c.parts.slice(0, 3);
  const step = (c.to - c.from) / shown.length;
  return (
    <g textAnchor="middle">
      {shown.map((p, i) => {
        const x = c.from + step * (i + 0.5);
        const inHand = p.where === "in-hand";
        const small = step < 50;
        return (
          <g key={p.id}>
            <MarkAt state={p.state} x={x} y={TRAY + 14} r={small ? 5 : 6} />
            {!small && (
              <text
                x={x}
                y={TRAY + 33}
                fontSize={12.5}
                fontWeight={inHand ? 680 : 620}
                fill={inHand ? "var(--accent)" : "var(--ink)"}
              >
                {inHand ? "in hand" : p.where === "aside" ? "aside" : clip(p.word, step)}
              </text>
            )}
            {!small && (
              <text x={x} y={TRAY + 47} fontSize={12} fill={hand ? "var(--accent)" : "var(--muted)"}>
                {clip(c.parts.length > 1 && !p.subWord ? shortName(p) : p.subWord, step, 5.6)}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

const clip = (text: string, room: number, perLetter = 5.2) => {
  const most = Math.max(6, Math.floor(room / perLetter));
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
};
const shortName = (p: RailPart) => p.name.toLowerCase();
