import { counted } from "../text/counted";
import { scaleLinear } from "d3-scale";
import type { ChooserView } from "../api/types";
import { Failure } from "../drawing/eventMarks";
import { materialFill } from "../drawing/Hatches";
import { Mark, MarkAt, verdictState } from "../parts/Mark";
import { roleWord, rounded, sentence } from "../text/numbers";
import { useDraft } from "../parts/useDraft";
import { TextInput } from "../parts/TextInput";
import { currency, money } from "../text/shop";

type Kit = ChooserView["kits"][number];

/** Which kits are held beside each other. */
export interface Beside {
  chosen: string[];
  toggle: (id: string) => void;
}

interface Props {
  chooser: ChooserView;
  beside?: Beside;
  onFit?: (lot: string, inspected: string) => Promise<void>;
  fitted?: string[];
  busy?: boolean;
  draftKey?: string;
}

const LEFT = 116;
const RIGHT = 364;

/** What can go in, the cheapest hour first; what the duty rules out stays visible with the reason. */
export function Kits({ chooser, beside, onFit, fitted = [], busy = false, draftKey = "" }: Props) {
  const most = Math.max(100, ...chooser.kits.map((k) => Math.min(k.costHigh ?? 0, 3 * (k.costPer1000h ?? 0))));
  const x = scaleLinear().domain([0, most]).nice(4).range([LEFT, RIGHT]).clamp(true);
  const ticks = x.ticks(4);
  return (
    <aside aria-label="Kits" className="border-l-[1.5px] border-ink max-[860px]:border-t max-[860px]:border-l-0">
      <div className="flex items-baseline justify-between px-4 pt-2.5">
        <h2 className="head">Kits</h2>
        <span className="text-small text-muted">{currency()} per 1000 h run; the line: 9 times in 10</span>
      </div>
      <svg viewBox="0 0 380 18" className="block w-full max-w-[404px] pl-4" aria-hidden>
        {ticks.map((v) => (
          <text key={v} className="m" x={x(v)} y={13} textAnchor="middle" fontSize={11.5} fill="var(--muted)">
            {rounded(v)}
          </text>
        ))}
      </svg>
      <ol className="border-t border-ink">
        {chooser.kits.map((k, i) => (
          <KitRow
            key={k.id}
            kit={k}
            lead={chooser.lead}
            beside={beside}
            rank={i + 1}
            x={x}
            best={i === 0 && k.costPer1000h !== null}
            fitted={k.lot !== null && fitted.includes(k.lot)}
            onFit={onFit}
            busy={busy}
            draftKey={`${draftKey}.${k.lot ?? k.id}`}
          />
        ))}
      </ol>
      {chooser.kits.length === 0 && (
        <p className="p-4 text-body leading-5 text-soft">
          {chooser.sheet
            ? "No wet-end kit for this construction is in the catalogue."
            : "Choose a sheet to see its kits and what an hour with each costs."}
        </p>
      )}
    </aside>
  );
}

interface RowProps {
  kit: Kit;
  lead: string;
  beside: Beside | undefined;
  rank: number;
  x: ReturnType<typeof scaleLinear<number, number>>;
  best: boolean;
  fitted: boolean;
  onFit: Props["onFit"] | undefined;
  busy: boolean;
  draftKey: string;
}

function KitRow({ kit: k, lead, beside, rank, x, best, fitted, onFit, busy, draftKey }: RowProps) {
  const unsuited = k.costPer1000h === null;
  return (
    <li className={`relative border-b border-line px-4 pt-2.5 pb-2.5 ${best ? "bg-card" : ""}`}>
      {best && <span className="absolute inset-y-0 left-0 w-[5px] bg-accent" aria-hidden />}
      <div className="flex items-center">
        <span className={`m w-8 text-title font-semibold ${best ? "text-accent" : "text-muted"}`}>
          {unsuited ? "–" : rank}
        </span>
        <span className="flex min-w-0 flex-1 flex-wrap">
          {k.parts
            .filter((p) => p.role === lead || p.renewed)
            .filter((p) => p.role !== "backup")
            .slice(0, MOST_PARTS)
            .map((p) => (
              <RoleMaterial key={p.role} role={p.role} material={p.material} />
            ))}
        </span>
        <span className="ml-auto flex items-center gap-2 text-small text-muted">
          <span className="whitespace-nowrap narrow">{k.fittedNow && "in it now"}</span>
          <Mark state={verdictState(k.verdict)} size={20} />
        </span>
      </div>
      {k.costPer1000h !== null && <CostLine kit={k} x={x} best={best} />}
      <div className="grid grid-cols-[minmax(0,1fr)_minmax(0,1.25fr)] gap-x-3 pl-8 text-small leading-[21px] narrow">
        {k.lifeHours !== null && (
          <p className="whitespace-nowrap">
            <span className="m font-semibold tracking-[-.04em]">{rounded(Math.round(k.lifeHours / 10) * 10)}</span> h{" "}
            <span className="text-small text-muted">
              {hundreds(k.lifeLow)} to {hundreds(k.lifeHigh)}
            </span>
          </p>
        )}
        {k.lifeHours !== null && (
          <p>
            {money(k.price)} and {Math.round(k.labourMinutes)} min
            {k.changeAtHours !== null && `, change at ${hundreds(k.changeAtHours)}\u00a0h`}
          </p>
        )}
        <p className={k.status === "over-age" ? "font-[680] text-renew" : ""}>{shelfWord(k)}</p>
        <p className="flex items-center gap-1.5 whitespace-nowrap">
          <Evidence runs={k.runsFailed} />
          {k.evidence}
        </p>
      </div>
      {k.known === "thin" && (
        <p className="pl-8 text-body leading-[18px] font-[640] text-watch-words narrow">
          Thinly known in this duty: look early.
        </p>
      )}
      {k.hardwareNote && (
        <p className={`pl-8 text-body leading-[18px] narrow ${k.hardwarePrice > 0 ? "font-[640]" : "text-soft"}`}>
          {sentence(k.hardwareNote)}
          {k.hardwarePrice > 0 && `, ${money(k.hardwarePrice)} once`}
        </p>
      )}
      {k.because && (
        <p className="pt-0.5 pl-8 text-body leading-[18px] text-soft narrow">
          {k.weakest !== lead && `${sentence(roleWord(k.weakest))}: `}
          {k.because}
        </p>
      )}
      {beside && (
        <label className="mt-0.5 ml-8 flex min-h-9 w-fit items-center gap-2 text-body narrow">
          <input
            type="checkbox"
            className="size-[18px] accent-[var(--accent)]"
            checked={beside.chosen.includes(k.id)}
            onChange={() => beside.toggle(k.id)}
          />
          hold beside another
          <span className="sr-only">, {k.id}</span>
        </label>
      )}
      {onFit && !unsuited && k.lot !== null && (
        <Fit kit={k} best={best} fitted={fitted} busy={busy} onFit={onFit} draftKey={draftKey} />
      )}
    </li>
  );
}

interface FitProps {
  kit: Kit;
  best: boolean;
  fitted: boolean;
  busy: boolean;
  onFit: NonNullable<Props["onFit"]>;
  draftKey: string;
}

function Fit({ kit: k, best, fitted, busy, onFit, draftKey }: FitProps) {
  const [inspected, setInspected, clear] = useDraft(`inspected.${draftKey}`);
  const mustInspect = k.status === "needs-inspection";
  if (k.status === "over-age")
    return <p className="pt-1 pl-8 text-body font-[640] text-renew">Not fitted: scrap it and write it off.</p>;
  return (
    <div className="pt-2 pl-8">
      {mustInspect && (
        <TextInput
          of="KitFitted.note"
          className="field mb-2 w-full"
          aria-label="What its inspection showed"
          placeholder="What its inspection showed"
          typed={inspected}
          onType={setInspected}
        />
      )}
      <button
        type="button"
        className={`press h-12 w-full text-lead ${best ? "go" : ""}`}
        disabled={busy || fitted || (mustInspect && !inspected.trim())}
        aria-label={`Fit this kit, lot ${k.lot ?? ""}, ${k.material}`}
        onClick={async () => {
          if (k.lot !== null) await onFit(k.lot, inspected);
          clear();
        }}
      >
        {fitted ? "Booked" : "Fit this kit"}
      </button>
    </div>
  );
}

/** How many are on the shelf and how they stand, or when one would come. */
export function shelfWord(k: Pick<Kit, "lot" | "quantity" | "place" | "statusSays" | "leadDays">): string {
  return k.lot === null
    ? `none, ${counted(k.leadDays, "day")}`
    : k.quantity === 0
      ? `${k.statusSays} on ${k.place}, ${k.leadDays} days for another`
      : `${k.quantity} on ${k.place}, ${k.statusSays}`;
}

export function hundreds(hours: number | null): string {
  return hours === null ? "?" : rounded(Math.round(hours / 100) * 100);
}

function CostLine({ kit: k, x, best }: { kit: Kit; x: RowProps["x"]; best: boolean }) {
  const cost = k.costPer1000h ?? 0;
  return (
    <svg
      viewBox="0 0 380 36"
      className="block w-full"
      role="img"
      aria-label={`${money(Math.round(cost))} per 1000 hours, nine in ten between ${Math.round(k.costLow ?? 0)} and ${Math.round(k.costHigh ?? 0)}`}
    >
      <text className="m" x={32} y={27} fontSize={27} fontWeight={600} letterSpacing={-1.2} fill="var(--ink)">
        <tspan fontSize={19} fontWeight={500} fill="var(--muted)">
          {currency()}
        </tspan>
        {Math.round(cost)}
      </text>
      <path d={`M${LEFT},18H${RIGHT}`} stroke="var(--line)" />
      {x.ticks(8).map((v) => (
        <path key={v} d={`M${x(v)},14V18`} stroke="var(--line)" />
      ))}
      <path
        d={`M${x(k.costLow ?? cost)},18H${x(k.costHigh ?? cost)}M${x(k.costLow ?? cost)},11V25M${x(k.costHigh ?? cost)},11V25`}
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <path
        d={`M${x(cost)},9l9,9l-9,9l-9,-9z`}
        fill={best ? "var(--accent)" : "var(--ink)"}
        stroke="var(--paper)"
        strokeWidth={1.6}
      />
    </svg>
  );
}

const ROLE_SHAPES: Record<string, string> = {
  diaphragm:
    "M6,1H12V5.5C12,9 17.5,9 17.5,13C17.5,17 12,17 12,20.5V25H6V20.5C6,15.5 11.5,16 11.5,13C11.5,10 6,10.5 6,5.5Z",
  ball: "M19,13A9,9 0 1 1 1,13A9,9 0 1 1 19,13Z",
  seat: "M19,13A9,9 0 1 1 1,13A9,9 0 1 1 19,13ZM14.6,13A4.6,4.6 0 1 0 5.4,13A4.6,4.6 0 1 0 14.6,13Z",
  "o-ring": "M19,13A9,9 0 1 1 1,13A9,9 0 1 1 19,13ZM16.8,13A6.8,6.8 0 1 0 3.2,13A6.8,6.8 0 1 0 16.8,13Z",
  tube: "M1,22V13A9,9 0 0 1 19,13V22H14.5V13A4.5,4.5 0 0 0 5.5,13V22Z",
  hose: "M1,24V12A9,9 0 0 1 19,12V24H13V12A3,3 0 0 0 7,12V24Z",
  stator: "M1,3H19V23H1V17C5,17 5,12 10,12C15,12 15,17 19,17V9C15,9 15,14 10,14C5,14 5,9 1,9Z",
  rotor: "M1,13C4,6 7,6 10,13C13,20 16,20 19,13V17C16,24 13,24 10,17C7,10 4,10 1,17Z",
  bushing: "M2,4H18V10H2ZM2,16H18V22H2Z",
  "lobe-seal": "M3,3H8V18H17V23H3ZM11,9A3,3 0 1 1 17,9A3,3 0 1 1 11,9Z",
  boot: "M2,6L6,3L8,6L10,3L12,6L14,3L18,6V20L14,23L12,20L10,23L8,20L6,23L2,20Z",
};

/** More parts than this do not fit on a line; the first ones tell the kits apart. */
const MOST_PARTS = 3;

function RoleMaterial({ role, material }: { role: string; material: string }) {
  const d = ROLE_SHAPES[role] ?? "";
  return (
    <span className="flex min-w-[84px] items-center gap-1.5 pr-1.5">
      <svg width="20" height="26" viewBox="0 0 20 26" role="img" aria-label={role} className="shrink-0">
        <path d={d} fill="var(--card)" fillRule="evenodd" />
        <path
          d={d}
          fill={materialFill(material)}
          fillRule="evenodd"
          stroke="var(--ink)"
          strokeWidth="1.3"
          strokeLinejoin="round"
        />
      </svg>
      <span
        className={`leading-[17px] font-[720] narrow ${material.length > 7 ? "text-body" : material.length > 5 ? "text-lead" : "text-lead"}`}
      >
        {material}
      </span>
    </span>
  );
}

/** Past runs here, one mark each: open tick sound, notch failed. */
function Evidence({ runs }: { runs: boolean[] }) {
  if (runs.length === 0) {
    return (
      <svg width="16" height="18" aria-hidden className="shrink-0">
        <MarkAt state="unknown" x={8} y={9} r={7} />
      </svg>
    );
  }
  return (
    <svg width={runs.length * 9 + 2} height="18" aria-hidden className="shrink-0">
      {runs.map((failed, i) =>
        failed ? (
          <Failure key={i} x={i * 9 + 5} y={9} h={8} />
        ) : (
          <rect
            key={i}
            x={i * 9 + 2.5}
            y={1.5}
            width={4}
            height={15}
            fill="var(--card)"
            stroke="var(--ink)"
            strokeWidth={1.3}
          />
        ),
      )}
    </svg>
  );
}
