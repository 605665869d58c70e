import type { ScaleLinear } from "d3-scale";
import { memo } from "react";
import type { Brief } from "../../api/types";
import { Swatch } from "../../drawing/Hatches";
import { kindName, PumpKindAt } from "../../drawing/PumpKind";
import { RunningOut } from "../../drawing/RunningOut";
import { MarkAt, STATE_WORDS } from "../../parts/Mark";
import { percent, rounded } from "../../text/numbers";
import { columnsOf } from "./columns";
import { monthStarts } from "./Months";
import { useStrip } from "./useStrip";

export const ROW = 42;
const CY = ROW / 2;

interface Props {
  pump: Brief;
  x: ScaleLinear<number, number>;
  width: number;
  today: string;
  first: boolean;
  selected: boolean;
  onChoose: (tag: string) => void;
  onOpen: (tag: string) => void;
}

/** One pump of the floor: a row to press, drawn whole, and not again while the floor is scrolled. */
export const FloorRow = memo(function FloorRow(p: Props) {
  const { pump, x, width, selected } = p;
  const [from = 0, to = 0] = x.domain();
  const strip = useStrip(pump.tag);
  const { mark, tag, between } = columnsOf(width);
  return (
    <button
      type="button"
      aria-pressed={selected}
      aria-label={spoken(pump)}
      onClick={() => p.onChoose(pump.tag)}
      onDoubleClick={() => p.onOpen(pump.tag)}
      className={`block w-full text-left ${selected ? "bg-card" : "hover:bg-card"}`}
    >
      <svg width={width} height={ROW} className="block" aria-hidden>
        {!p.first && !selected && <path d={`M20,.5H${width - 16}`} stroke="var(--line2)" />}
        {monthStarts(p.today, from, to).map((m) => (
          <path key={m.days} d={`M${x(m.days)},0V${ROW}`} stroke={m.january ? "var(--line)" : "var(--line2)"} />
        ))}
        <MarkAt state={pump.state} x={mark} y={CY} r={7} />
        <text x={tag} y={CY + 6.2} fontSize={18} fontWeight={700} fill="var(--ink)">
          {pump.tag}
        </text>
        {between && (
          <>
            <PumpKindAt family={pump.family} x={between.kind} y={CY - 11} />
            <Duty pump={pump} note={strip?.dutyNote ?? ""} x={between.duty} />
            <Swatch material={pump.material} x={between.wetEnd} y={CY - 9} />
            <WetEnd material={pump.material} x={between.wetEnd + 15} />
            <text className="m" x={between.hours} y={CY + 5} fontSize={13.5} textAnchor="end" fill="var(--ink)">
              {rounded(pump.hours)}
            </text>
          </>
        )}
        {strip && <RunningOut pump={strip} x={x} y={CY} />}
        <path d={`M${x(0)},0V${ROW}`} stroke="var(--ink)" strokeWidth={1.8} />
        <path d={`M${x(30)},0V${ROW}`} stroke="var(--renew)" strokeDasharray="2 3" />
        {pump.rebuild !== null && <OnBench x={x(0)} stage={between ? (pump.rebuildStage ?? "") : null} />}
        <Chance pump={pump} right={width - 16} />
        {selected && (
          <g>
            <path d={`M0,.75H${width}M0,${ROW - 0.75}H${width}`} stroke="var(--ink)" strokeWidth={1.5} />
            <rect width={5} height={ROW} fill="var(--ink)" />
          </g>
        )}
      </svg>
    </button>
  );
});

function Duty({ pump, note, x }: { pump: Brief; note: string; x: number }) {
  return (
    <g>
      <text x={x} y={CY - 2} fontSize={13.5} fontWeight={600} fill="var(--ink)">
        {clip(pump.dutyTitle, 28)}
      </text>
      <text x={x} y={CY + 13} fontSize={12.5} fontWeight={500} fill="var(--muted)">
        {clip(note, 30)}
      </text>
    </g>
  );
}

/** A material in the room of its column: long names stand in two lines. */
function WetEnd({ material, x }: { material: string; x: number }) {
  const words = material.split(" ");
  if (words.length === 1) {
    return (
      <text
        x={x}
        y={CY + 5}
        fontSize={material.length > 5 ? 13 : 14.5}
        fontWeight={660}
        fill="var(--ink)"
        className="narrow"
      >
        {material}
      </text>
    );
  }
  return (
    <g fontSize={(words[0] ?? "").length > 9 ? 11.2 : 12.5} fontWeight={640} fill="var(--ink)" className="narrow">
      <text x={x} y={CY - 2}>
        {words[0]}
      </text>
      <text x={x} y={CY + 12}>
        {words.slice(1).join(" ")}
      </text>
    </g>
  );
}

/** That it is at the bench, and at which stage where there is room for the words. */
function OnBench({ x, stage }: { x: number; stage: string | null }) {
  return (
    <g>
      <rect x={x + 8} y={CY - 11} width={stage === null ? 66 : 150} height={22} fill="var(--paper)" />
      <MarkAt state="bench" x={x + 18.5} y={CY} r={6.5} />
      <text x={x + 33} y={CY + 4.5} fontSize={13.5} fontWeight={660} fill="var(--accent)">
        {stage === null ? "bench" : `on the bench, ${stage}`}
      </text>
    </g>
  );
}

function Chance({ pump, right }: { pump: Brief; right: number }) {
  if (pump.rebuild !== null) {
    return (
      <text className="m" x={right} y={CY + 5} fontSize={14} textAnchor="end" fill="var(--muted)">
        –
      </text>
    );
  }
  const big = pump.state === "renew";
  return (
    <text
      className="m"
      x={right}
      y={CY + 5.5}
      fontSize={big ? 18 : 15}
      fontWeight={big ? 700 : 500}
      textAnchor="end"
      fill="var(--ink)"
    >
      {percent(pump.risk30)}
      <tspan fontSize={11.5} dx={2} fontWeight={500} fill="var(--muted)">
        %
      </tspan>
    </text>
  );
}

function spoken(p: Brief): string {
  const due = p.dueDays < 0 ? `${Math.round(-p.dueDays)} days past due` : `due in ${Math.round(p.dueDays)} days`;
  const stands =
    p.rebuild === null
      ? `${STATE_WORDS[p.state]}, ${percent(p.risk30)} percent in 30 days, ${due}`
      : `on the bench, ${p.rebuildStage}`;
  return `${p.tag}, ${kindName(p.family)}, ${p.dutyTitle}, ${p.material}, ${Math.round(p.hours)} hours, ${stands}`;
}

export function clip(text: string, most: number): string {
  return text.length > most ? `${text.slice(0, most - 1)}…` : text;
}
