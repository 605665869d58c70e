import { MarkAt, STATE_WORDS } from "../parts/Mark";
import type { Rail, RailPart } from "../api/types";
import { glyph } from "./glyphs";
import { Ghost, PartGlyph } from "./PartGlyph";
import { planLabels, planParts, type PlanLabel } from "./planLayout";

const WIDTH = 1280;
const TRAY = 228;
const FLOOR = 286;
const CENTRE = { x: 440, y: 113 };
const LABEL_X = { left: 264, right: 622 };
const HAND = { from: 860, to: 1080 };

interface Props {
  rail: Rail;
  onPress?: (parts: RailPart[]) => void;
  bare?: boolean;
  natural?: boolean;
}

/** A roller head seen from above with its cover off: track, rollers by angle, what is in hand beside it. */
export function HeadPlan({ rail, onPress, bare = false }: Props) {
  const parts = planParts(rail);
  const inHand = parts.filter((p) => p.part.where === "in-hand");
  return (
    <div className="overflow-x-auto border-b border-ink bg-card">
      <svg
        viewBox={`0 0 ${WIDTH} ${bare ? TRAY : FLOOR + 6}`}
        className="block w-full min-w-[1100px]"
        role="group"
        aria-label={`${rail.title}: in its place what is on, beside the head what is in hand, below what is on the tray`}
      >
        <path
          d={`M${CENTRE.x - 130},${CENTRE.y}H${CENTRE.x + 160}M${CENTRE.x},8V${TRAY - 8}`}
          stroke="var(--muted)"
          strokeWidth={0.8}
          strokeDasharray="16 3 3 3"
        />
        {parts.map(({ part, cover }) => (
          <AtHome key={part.id} part={part} cover={cover} />
        ))}
        {planLabels(parts, 200).map((l) => (
          <Label key={l.part.id} label={l} {...(onPress ? { onPress: () => onPress([l.part]) } : {})} />
        ))}
        {inHand.length > 0 && <InHand parts={inHand.map((p) => p.part)} />}
        {!bare && <Tray parts={parts.map((p) => p.part).reverse()} />}
      </svg>
    </div>
  );
}

function AtHome({ part: p, cover }: { part: RailPart; cover: boolean }) {
  const at = { name: p.glyph, x: CENTRE.x, y: CENTRE.y, turned: p.angle };
  if (p.where === "in-place") {
    return (
      <g opacity={cover && !p.glyph.includes("screws") ? 0.28 : 1}>
        <PartGlyph {...at} />
      </g>
    );
  }
  return <Ghost {...at} hand={p.where === "in-hand"} />;
}

function spoken(p: RailPart): string {
  return `${p.name}, ${p.where.replace("-", " ")}, ${STATE_WORDS[p.state]}${p.word ? `, ${p.word}` : ""}`;
}

function Label({ label: l, onPress }: { label: PlanLabel; onPress?: () => void }) {
  const left = l.side === "left";
  const x = LABEL_X[l.side];
  const y = CENTRE.y + l.y;
  const hand = l.part.where === "in-hand";
  const elbow = x + (left ? 18 : -18);
  return (
    <g
      {...(onPress
        ? {
            role: "button",
            onClick: onPress,
            onKeyDown: (e) => (e.key === "Enter" || e.key === " ") && onPress(),
            className: "cursor-pointer",
          }
        : { role: "img" })}
      tabIndex={0}
      aria-label={spoken(l.part)}
    >
      <title>{spoken(l.part)}</title>
      {onPress && <rect x={left ? x - 190 : x} y={y - 11} width={190} height={20} fill="transparent" />}
      <path
        d={`M${x + (left ? 5 : -5)},${y}H${elbow}L${CENTRE.x + l.anchor.x},${CENTRE.y + l.anchor.y}`}
        fill="none"
        stroke={hand ? "var(--accent)" : "var(--ghost)"}
        strokeWidth={0.8}
      />
      <circle
        cx={CENTRE.x + l.anchor.x}
        cy={CENTRE.y + l.anchor.y}
        r={2}
        fill={hand ? "var(--accent)" : "var(--soft)"}
      />
      <text
        x={x}
        y={y + 4}
        textAnchor={left ? "end" : "start"}
        fontSize={13}
        fontWeight={hand ? 720 : 600}
        fill={hand ? "var(--accent)" : "var(--ink)"}
        style={{ fontStretch: "78%" }}
      >
        {l.part.name}
      </text>
    </g>
  );
}

/** What is in hand, beside the head and large, with an arrow to where it belongs. */
function InHand({ parts }: { parts: RailPart[] }) {
  const columns = Math.min(parts.length, 2);
  const rows = Math.ceil(parts.length / columns);
  const cell = { w: (HAND.to - HAND.from) / columns, h: (TRAY - 44) / rows };
  const middle = (HAND.from + HAND.to) / 2;
  return (
    <g>
      <path d={`M${HAND.from},0H${HAND.to}V${TRAY}H${HAND.from}Z`} fill="var(--wash)" />
      <path d={`M${HAND.from},0V${TRAY}M${HAND.to},0V${TRAY}`} stroke="var(--accent)" opacity={0.5} />
      <text x={middle} y={20} textAnchor="middle" fontSize={14} fontWeight={720} fill="var(--accent)">
        {parts.length === 1 ? parts[0]?.name : `${parts.length} parts in hand`}
      </text>
      {parts.map((p, i) => {
        const g = glyph(p.glyph);
        const scale = Math.min(1, (cell.w - 20) / (g.right - g.left), (cell.h - 12) / (2 * g.radius));
        const x = HAND.from + cell.w * ((i % columns) + 0.5) - ((g.left + g.right) / 2) * scale;
        const y = 34 + cell.h * (Math.floor(i / columns) + 0.5);
        return <PartGlyph key={p.id} name={p.glyph} x={x} y={y} scale={scale} ink="hand" />;
      })}
      <path
        d={`M${HAND.from - 6},${CENTRE.y}H${CENTRE.x + 330}`}
        stroke="var(--accent)"
        strokeWidth={1.4}
        strokeDasharray="6 4"
      />
      <path d={`M${CENTRE.x + 320},${CENTRE.y}l12,-4.5v9Z`} fill="var(--accent)" />
    </g>
  );
}

function Tray({ parts }: { parts: RailPart[] }) {
  const from = 58;
  const cell = (WIDTH - from - 20) / Math.max(1, parts.length);
  return (
    <g>
      {parts.map((p, i) => {
        const x = from + cell * i;
        const g = glyph(p.glyph);
        const off = p.where === "off";
        const hand = p.where === "in-hand";
        const scale = Math.min(0.5, (cell - 34) / (g.right - g.left), 40 / (2 * g.radius));
        return (
          <g key={p.id}>
            <rect
              x={x}
              y={TRAY}
              width={cell}
              height={FLOOR - TRAY}
              fill={off ? "var(--tray)" : hand ? "var(--wash)" : "none"}
            />
            <path d={`M${x + cell},${TRAY}V${FLOOR}`} stroke="var(--line)" />
            {off && (
              <PartGlyph
                name={p.glyph}
                x={x + cell / 2 - 6 - ((g.left + g.right) / 2) * scale}
                y={TRAY + 24}
                scale={scale}
                ink="tray"
              />
            )}
            <MarkAt
              state={p.state}
              x={off ? x + cell - 13 : x + cell / 2}
              y={TRAY + (off ? 13 : 16)}
              r={off ? 5.5 : 6}
            />
            <text
              x={x + cell / 2}
              y={FLOOR - 7}
              textAnchor="middle"
              fontSize={12}
              fontWeight={600}
              fill={hand ? "var(--accent)" : "var(--ink)"}
              style={{ fontStretch: "70%" }}
            >
              {fit(off ? p.name : hand ? "in hand" : p.word || p.name, cell)}
            </text>
            {!off && !hand && (
              <text
                x={x + cell / 2}
                y={FLOOR - 22}
                textAnchor="middle"
                fontSize={11.5}
                fill="var(--muted)"
                style={{ fontStretch: "70%" }}
              >
                {fit(p.name, cell)}
              </text>
            )}
          </g>
        );
      })}
      <path
        d={`M${from},${TRAY - 6}V${FLOOR}H${WIDTH - 20}V${TRAY - 6}`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <text x={20} y={FLOOR - 30} fontSize={12} fontWeight={640} fill="var(--soft)">
        On
      </text>
      <text x={20} y={FLOOR - 17} fontSize={12} fontWeight={640} fill="var(--soft)">
        tray
      </text>
    </g>
  );
}

const fit = (text: string, room: number) => {
  const most = Math.max(6, Math.floor(room / 5));
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
};
