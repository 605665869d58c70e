import type { CSSProperties } from "react";
import { ReadingField } from "../../../parts/ReadingField";
import { useStanding } from "../../../api/session";
import type { Gate } from "../../../api/types";
import { EnergyLines, GATE_ROW } from "../../../drawing/EnergyLines";
import { rounded } from "../../../text/numbers";
import { Meetings } from "../../../parts/Meetings";
import { Sentence } from "../../../parts/States";
import { useFocus } from "../../../parts/useFocus";
import { useDraft } from "../../../parts/useDraft";
import type { InStage, Now, StageProps } from "../frame/stage";
import { faultAt } from "../../../parts/faults";
import { Foot } from "../frame/Foot";
import { worksNot } from "../frame/worksNot";
import { quantity, typedUnit, unitWord } from "../../../text/shop";

const COUNTS = ["No", "One", "Two", "Three", "Four", "Five", "Six", "Seven", "Eight", "Nine", "Ten"];

/** Every energy cut at its source and proved gone before a joint is opened. */
export function MakeSafe({ view, now, rails, link }: InStage<"MAKE_SAFE">) {
  const energies = now.gates.filter((g) => !g.confirmation);
  const confirmations = now.gates.filter((g) => g.confirmation);
  const open = now.gates.filter((g) => !g.answered);
  const next = energies.find((g) => !g.answered)?.id;
  // A lock is photographed where it hangs: of the energy in hand, else of the last one that was cut.
  const shown = energies.find((g) => g.id === next) ?? energies.at(-1);
  return (
    <div className="grid flex-1 grid-cols-[minmax(0,1fr)_388px] max-[1000px]:grid-cols-1">
      <section className="flex flex-col" aria-label="Energies">
        <div className="flex flex-wrap items-baseline justify-between px-5 pt-2 pb-1.5">
          <h2 className="text-head leading-9 font-[680]">
            {COUNTS[energies.length] ?? energies.length} energies reach this pump
          </h2>
          <span className="text-body text-muted">cut each at its source, prove it, put your initials to it</span>
        </div>
        <div className="flex flex-1 border-t-[1.5px] border-ink">
          <ul className="min-w-0 flex-1">
            {energies.map((g) => (
              <Energy key={g.id} gate={g} view={view} link={link} current={g.id === next} />
            ))}
          </ul>
          <div className="max-[1180px]:hidden">
            <EnergyLines gates={energies} rails={rails} />
          </div>
        </div>
        <p className="border-t border-ink px-5 pt-2 text-body leading-5">
          <b className="font-[740] text-accent">First</b>
          <span className="pl-2 font-[600]">
            The maker's manual and the site's own procedure come before this sheet; where they differ, follow them.
          </span>
          <span className="block text-small text-soft">
            Electrical work and pressure-retaining work belong to people licensed for it where the law says so.
          </span>
        </p>
        <Foot
          link={link}
          view={view}
          main={open.length === 0 ? "Open the strip" : `Strip is locked, ${open.length} to go`}
          disabled={open.length > 0}
          onMain={() => void link.act({ kind: "STAGE_DONE", stage: "MAKE_SAFE" })}
          {...(shown ? { photograph: { of: "energy" as const, subject: shown.id, title: shown.title } } : {})}
        />
      </section>
      <aside className="border-l-[1.5px] border-ink bg-card px-6 pt-3 pb-5 max-[1000px]:border-t max-[1000px]:border-l-0">
        <Meetings meetings={now.meetings} narrow />
        <Fluids fluids={now.fluids} />
        <div className="flex flex-col gap-2.5 pt-4">
          {confirmations.map((g) => (
            <Confirmation key={g.id} gate={g} link={link} view={view} />
          ))}
        </div>
        <LayOut plan={now.plan} />
      </aside>
    </div>
  );
}

function Energy({ gate: g, view, link, current }: { gate: Gate; current: boolean } & StageProps) {
  const [typed, setTyped, clear] = useDraft(`${view.id}.gate.${g.id}`);
  const licensed = useStanding().session?.licensedElectrical ?? false;
  const fault = !g.answered && (current || typed) ? faultAt(link.faults, "value", "gauge") : undefined;
  // Rows are as high as the lines of the drawing are apart: what is wrong takes the place of the words.
  const columns = fault ? "sm:grid-cols-[minmax(0,1fr)_164px]" : "sm:grid-cols-[minmax(150px,1fr)_236px]";
  return (
    <li
      className={`grid ${columns} items-center gap-3 border-b border-line py-1 pr-3 pl-5 max-sm:gap-1 max-sm:py-3 max-sm:pr-5 sm:h-(--row) sm:overflow-hidden ${current ? "bg-wash" : ""}`}
      style={{ "--row": `${GATE_ROW}px` } as CSSProperties}
    >
      <div className="min-w-0">
        <h3 className={`text-lead leading-[21px] font-[680] ${current ? "text-accent" : ""}`}>
          {g.title}
          {g.licensed && <span className="ml-2 text-small font-[560] text-muted">licensed</span>}
        </h3>
        {fault ? (
          <div className="-my-1 [&_p]:text-small [&_p]:leading-4">
            <Sentence>{fault}</Sentence>
          </div>
        ) : (
          <>
            <p className="text-small leading-[15px] text-muted">
              {g.here === null ? g.where : <b className="font-[660] text-ink">{g.here}</b>}
            </p>
            <p className="text-small leading-[16px] font-[600] line-clamp-2" title={g.act}>
              {g.act}
            </p>
          </>
        )}
      </div>
      {g.answered ? (
        <p className="flex min-h-[60px] items-center justify-between border border-ink bg-card px-3">
          <span className="m text-title font-bold tracking-[-.03em]">
            {g.value === null ? <span className="text-lead">seen</span> : rounded(g.value, 2)}
            <span className="pl-1.5 text-small font-medium tracking-normal text-muted">{unitWord(g.unit)}</span>
          </span>
          <span className="m text-body font-bold">
            {g.by} <span className="text-small font-medium text-muted">{g.at}</span>
          </span>
        </p>
      ) : g.kind === "number" ? (
        <Proof
          key={g.id}
          gate={g}
          link={link}
          current={current}
          typed={typed}
          type={setTyped}
          clear={clear}
          wrong={fault !== undefined}
        />
      ) : (
        <button
          type="button"
          className="press call min-h-[60px] w-full text-body leading-[18px]"
          disabled={link.busy}
          onClick={() =>
            g.electrical && !licensed
              ? link.sign({
                  act: { kind: "PROVED_SAFE", hazard: g.id },
                  what: [g.title, g.act, g.ask],
                  mayNot: (p) => worksNot(p) || (p.licensedElectrical ? "" : "not licensed"),
                })
              : void link.act({ kind: "PROVED_SAFE", hazard: g.id })
          }
        >
          {g.ask}
          {g.electrical && !licensed && <span className="block text-small">somebody licensed signs</span>}
        </button>
      )}
    </li>
  );
}

interface ProofProps {
  gate: Gate;
  link: StageProps["link"];
  current: boolean;
  typed: string;
  type: (typed: string) => void;
  clear: () => void;
  wrong: boolean;
}

function Proof({ gate: g, link, current, typed, type, clear, wrong }: ProofProps) {
  const field = useFocus<HTMLInputElement>(current);
  const read = async () => {
    if (await link.act({ kind: "PROVED_SAFE", hazard: g.id, reading: { typed, unit: typedUnit(g.unit) } })) clear();
  };
  return (
    <div>
      <label
        htmlFor={`gate-${g.id}`}
        className="flex items-end justify-between gap-1 text-small leading-[14px] text-soft"
      >
        <span className={wrong ? "truncate" : ""}>{g.ask}</span>
        <span className="m whitespace-nowrap text-muted">{safeWithin(g)}</span>
      </label>
      <ReadingField
        id={`gate-${g.id}`}
        className="w-full min-w-0 text-title font-semibold"
        ref={field}
        typed={typed}
        onType={type}
        unit={g.unit}
        keeps={`Read: ${g.ask}, ${unitWord(g.unit)}`}
        keep={() => void read()}
        busy={link.busy}
        invalid={wrong}
      />
      {g.orConfirm && (
        <button
          type="button"
          className="w-full pt-0.5 text-left text-small leading-[14px] text-accent underline"
          disabled={link.busy}
          onClick={() => void link.act({ kind: "PROVED_SAFE", hazard: g.id })}
        >
          {g.orConfirm}
        </button>
      )}
    </div>
  );
}

/** The readings that count as safe: "6 to 9", "≤ 40", "0" where both bounds lie about it. */
function safeWithin({ min, max }: Gate): string {
  if (min !== null && max !== null) {
    return min === -max ? `0 ± ${rounded(max, 2)}` : `${rounded(min, 2)} to ${rounded(max, 2)}`;
  }
  return max !== null ? `≤ ${rounded(max, 2)}` : min !== null ? `≥ ${rounded(min, 2)}` : "";
}

function Fluids({ fluids }: { fluids: Now<"MAKE_SAFE">["fluids"] }) {
  const wear = [...new Set(fluids.flatMap((f) => f.wear))];
  return (
    <>
      <div className="flex items-end justify-between border-b-[1.5px] border-ink pb-1">
        <h2 className="head">What it pumped</h2>
        <span className="text-small text-muted">read the safety data sheet first</span>
      </div>
      {fluids.length === 0 && (
        <p className="py-3 text-body text-soft">No fluid is on record for this pump: ask before opening.</p>
      )}
      {fluids.map((f) => (
        <div key={f.name} className="border-b border-line py-2">
          <p className="flex justify-between text-lead font-[660]">
            {f.name}
            <span className="m text-body">
              {rounded(f.concentrationPct, 1)} % <span className="pl-2">{quantity(f.temperatureC, "degC")}</span>
            </span>
          </p>
          <p className="text-body leading-[18px] text-soft">{f.hurts.join(", ")}</p>
          {f.spilt && <p className="text-small leading-[17px]">Spilt: {f.spilt}</p>}
        </div>
      ))}
      <div className="flex items-end justify-between border-b-[1.5px] border-ink pt-3.5 pb-1">
        <h2 className="head">Wear</h2>
      </div>
      <ul className="flex flex-wrap gap-x-4 pt-2 text-body font-[600]">
        {wear.map((w) => (
          <li key={w} className="flex items-center gap-2">
            <svg width="7" height="7" aria-hidden>
              <rect width="7" height="7" fill="var(--ink)" />
            </svg>
            {w}
          </li>
        ))}
      </ul>
    </>
  );
}

/** What the plan asks for on the bench, in the order of its first use. */
function LayOut({ plan }: { plan: Now<"MAKE_SAFE">["plan"] }) {
  const lists = [
    ["Tools", plan.tools],
    ["On threads and seals", plan.lubricants],
  ] as const;
  return (
    <div className="pt-4">
      <h2 className="head border-b-[1.5px] border-ink pb-1">Lay out meanwhile</h2>
      {lists.map(
        ([name, things]) =>
          things.length > 0 && (
            <p key={name} className="border-b border-line2 py-1.5 text-body leading-[19px]">
              <span className="block text-small text-muted">{name}</span>
              <span className="font-[600]">{things.join(", ")}</span>
            </p>
          ),
      )}
    </div>
  );
}

function Confirmation({ gate: g, link }: { gate: Gate } & StageProps) {
  if (g.answered) {
    return (
      <p className="flex min-h-12 items-center justify-between gap-3 border border-ink px-3.5 py-1.5 text-body leading-[18px] font-[640]">
        {g.ask}
        <span className="m text-body font-bold whitespace-nowrap">
          {g.by} <span className="text-small font-medium text-muted">{g.at}</span>
        </span>
      </p>
    );
  }
  return (
    <button
      type="button"
      className="press call py-2 text-lead leading-5"
      disabled={link.busy}
      onClick={() => void link.act({ kind: "CONFIRMED", confirmation: g.id })}
    >
      {g.ask}
    </button>
  );
}
