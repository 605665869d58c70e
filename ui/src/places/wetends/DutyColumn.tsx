import type { ChooserView, DutyForm, Fault } from "../../api/types";
import { rounded } from "../../text/numbers";
import { Sentence } from "../../parts/States";
import { money, quantity, shownNumber, unitWord } from "../../text/shop";

interface Props {
  chooser: ChooserView;
  duty: DutyForm;
  faults: Fault[];
  onDuty: (duty: DutyForm) => void;
  editing: boolean;
  onEdit: () => void;
}

/** What the wet end sees: each fluid with its strength on a slider, the facts, and what is not known. */
export function DutyColumn({ chooser, duty, faults, onDuty, editing, onEdit }: Props) {
  return (
    <section
      aria-label="The duty"
      className="border-r border-line px-5 pt-2 pb-5 max-[1180px]:col-span-full max-[1180px]:border-r-0 max-[1180px]:border-b"
    >
      <div className="flex items-center justify-between">
        <h2 className="head">The duty</h2>
        <button type="button" className="under" aria-expanded={editing} onClick={onEdit}>
          {editing ? "Done" : "Change"}
        </button>
      </div>
      {faults.map((f) => (
        <Sentence key={f.path + f.message}>{f.message}</Sentence>
      ))}
      <Questions chooser={chooser} duty={duty} onDuty={onDuty} onEdit={onEdit} />
      <div className="max-[1180px]:grid max-[1180px]:grid-cols-3 max-[1180px]:gap-5 max-[760px]:grid-cols-1">
        {duty.exposures.map((d, i) => (
          <div key={`${i} ${d.fluid}`} className="border-t border-ink py-2">
            <p className="text-lead leading-[19px] font-[660]">{d.name ?? d.fluid}</p>
            <p className="min-h-[17px] text-small leading-[17px] text-muted">
              {[d.kind === "process" ? "" : d.kind, d.note].filter(Boolean).join(", ")}
            </p>
            <p className="flex items-baseline gap-3 pt-1">
              <span className="m text-title leading-[27px] font-semibold tracking-[-.04em]">
                {d.temperatureC === null ? "?" : shownNumber(d.temperatureC, "degC", 1)}
                <span className="pl-1 text-small font-medium tracking-normal text-muted">{unitWord("degC")}</span>
              </span>
              <span className="m text-lead font-semibold">
                {d.concentrationPct === null ? "?" : rounded(d.concentrationPct, 1)}
                <span className="pl-1 text-small font-medium text-muted">%</span>
              </span>
              <span className="ml-auto text-small whitespace-nowrap text-muted">
                <b className="m font-semibold text-ink">{rounded((d.share ?? 0) * 100)}</b>% of time
              </span>
            </p>
            {d.usualC !== null && d.usualC !== d.temperatureC && (
              <p className="text-small text-muted">usually {quantity(d.usualC, "degC", 1)}</p>
            )}
            {(d.concentrationPct ?? 100) < 100 && (
              <input
                type="range"
                className="slider w-full"
                min={0}
                max={100}
                step={1}
                value={d.concentrationPct ?? 0}
                aria-label={`Strength of ${d.name ?? d.fluid}, %`}
                onChange={(e) => {
                  const pct = Number(e.target.value);
                  onDuty({
                    ...duty,
                    exposures: duty.exposures.map((x, j) => (j === i ? { ...x, concentrationPct: pct } : x)),
                  });
                }}
              />
            )}
          </div>
        ))}
        <dl className="border-t border-ink max-[1180px]:col-span-full max-[1180px]:grid max-[1180px]:grid-cols-3 max-[1180px]:gap-x-5 max-[760px]:grid-cols-1">
          <Fact name="Solids wear" value={duty.abrasion ?? "none"} />
          {duty.solidsMm !== null && <Fact name="Solids, largest" value={`${rounded(duty.solidsMm, 1)} mm`} />}
          <Fact name="Suction lift" value={`${rounded(duty.suctionLiftM ?? 0, 1)} m`} />
          <Fact
            name="Discharge"
            value={duty.pressureBar === null ? "not known" : quantity(duty.pressureBar, "bar", 1)}
          />
          {duty.viscosityMpas !== null && <Fact name="Viscosity" value={`${rounded(duty.viscosityMpas)} mPa·s`} />}
          {duty.densityKgM3 !== null && <Fact name="Density" value={`${rounded(duty.densityKgM3)} kg/m³`} />}
          <Fact name="Coldest" value={duty.ambientC === null ? "not known" : quantity(duty.ambientC, "degC")} />
          <Fact name="Food" value={yesNo(duty.food)} />
          <Fact
            name="Static"
            value={duty.zone === null ? "not known" : duty.zone === "none" ? "no matter" : duty.zone}
          />
          <Fact name="Runs dry" value={yesNo(duty.runsDry)} />
          {duty.chlorideMgL !== null && <Fact name="Chloride" value={`${rounded(duty.chlorideMgL)} mg/L`} />}
          {(duty.phLow !== null || duty.phHigh !== null) && <Fact name="pH" value={phRange(duty)} />}
          {duty.chlorineMgL !== null && <Fact name="Free chlorine" value={`${rounded(duty.chlorineMgL, 1)} mg/L`} />}
          {chooser.hoursPerDay > 0 && <Fact name="Run" value={`${rounded(chooser.hoursPerDay)} h a day`} />}
          {chooser.bodyMaterial && <Fact name="Body" value={chooser.bodyMaterial} />}
          <Fact name="A stop costs" value={`${money(duty.stopCost ?? 0)}`} />
        </dl>
      </div>
    </section>
  );
}

function phRange({ phLow, phHigh }: DutyForm): string {
  const end = (ph: number | null) => (ph === null ? "?" : rounded(ph, 1));
  return `${end(phLow)} to ${end(phHigh)}`;
}

function yesNo(fact: boolean | null): string {
  return fact === null ? "not known" : fact ? "yes" : "no";
}

/** Facts nobody has given that would change the choice; only those are asked for. */
function Questions({ chooser, duty, onDuty, onEdit }: Pick<Props, "chooser" | "duty" | "onDuty" | "onEdit">) {
  if (chooser.questions.length === 0) return null;
  return (
    <ul aria-label="Worth asking" className="pb-2">
      {chooser.questions.map((q) => (
        <li key={q.field} className="border-t-[1.5px] border-accent py-2">
          <p className="text-body leading-[18px] font-[660]">{q.ask}</p>
          <p className="py-1 text-small leading-[17px] text-soft">{q.because}</p>
          <div className="flex flex-wrap gap-1.5">
            {answers(q.field).map(([said, change]) => (
              <button
                key={said}
                type="button"
                className="press min-h-11 px-3 text-body"
                onClick={() => (change ? onDuty({ ...duty, ...change }) : onEdit())}
              >
                {said}
              </button>
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}

function answers(field: string): [string, Partial<DutyForm> | null][] {
  switch (field) {
    case "food":
      return [
        ["No", { food: false }],
        ["Yes", { food: true }],
      ];
    case "runsDry":
      return [
        ["Never", { runsDry: false }],
        ["Yes", { runsDry: true }],
      ];
    case "zone":
      return [
        ["No matter", { zone: "none" }],
        ["Static", { zone: "static" }],
        ["Explosive", { zone: "explosive" }],
      ];
    case "chlorineMgL":
      return [
        ["No", { chlorineMgL: 0 }],
        ["Write it down", null],
      ];
    default:
      return [["Write it down", null]];
  }
}

function Fact({ name, value }: { name: string; value: string }) {
  return (
    <div className="flex h-[31px] items-baseline justify-between border-b border-line2 pt-1.5">
      <dt className="text-body text-soft">{name}</dt>
      <dd className={`m text-body tracking-[-.02em] ${value === "not known" ? "text-muted" : "font-semibold"}`}>
        {value}
      </dd>
    </div>
  );
}
