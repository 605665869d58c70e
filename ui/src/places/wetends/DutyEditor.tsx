import { NumberInput } from "../../parts/ReadingField";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { DutyForm, Fault, FluidForm } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Sentence } from "../../parts/States";
import { typedNumber } from "../../text/typedNumber";
import { inShown, ofShown, unitWord } from "../../text/shop";

interface Props {
  duty: DutyForm;
  faults: Fault[];
  onDuty: (duty: DutyForm) => void;
  onDone: () => void;
}

type NumberField =
  | "suctionLiftM"
  | "pressureBar"
  | "viscosityMpas"
  | "densityKgM3"
  | "solidsPct"
  | "solidsMohs"
  | "solidsMm"
  | "ambientC"
  | "chlorideMgL"
  | "phLow"
  | "phHigh"
  | "chlorineMgL"
  | "stopCost";

const FACTS: [NumberField, string, string][] = [
  ["pressureBar", "Discharge pressure", "bar"],
  ["suctionLiftM", "Suction lift", "m"],
  ["viscosityMpas", "Viscosity", "mPa·s"],
  ["densityKgM3", "Density", "kg/m³"],
  ["solidsPct", "Solids", "% of mass"],
  ["solidsMohs", "Their hardness", "Mohs"],
  ["solidsMm", "The largest", "mm"],
  ["ambientC", "Coldest surroundings", "°C"],
  ["chlorideMgL", "Chloride, highest", "mg/L"],
  ["phLow", "pH, lowest", ""],
  ["phHigh", "pH, highest", ""],
  ["chlorineMgL", "Free chlorine, highest", "mg/L"],
  ["stopCost", "A stop by failure costs", "¤"],
];

/** Every fact of a duty, typed. What is left empty stays not known. */
export function DutyEditor({ duty, faults, onDuty, onDone }: Props) {
  const setFluid = (i: number, change: Partial<FluidForm>) =>
    onDuty({ ...duty, exposures: duty.exposures.map((e, j) => (j === i ? { ...e, ...change } : e)) });
  return (
    <div className="px-5 pt-3 pb-4">
      <div className="flex items-baseline justify-between">
        <h2 className="text-title leading-7 font-[680]">What the wet end sees</h2>
        <button type="button" className="press call" onClick={onDone}>
          Done
        </button>
      </div>
      {duty.exposures.map((e, i) => (
        <Fluid
          key={i}
          fluid={e}
          at={`exposures[${i}]`}
          faults={faults}
          set={(change) => setFluid(i, change)}
          drop={
            duty.exposures.length > 1
              ? () => onDuty({ ...duty, exposures: duty.exposures.filter((_, j) => j !== i) })
              : null
          }
        />
      ))}
      <button
        type="button"
        className="press mt-3"
        onClick={() =>
          onDuty({
            ...duty,
            exposures: [
              ...duty.exposures,
              {
                fluid: "water",
                name: "Water",
                concentrationPct: 100,
                usualC: 20,
                temperatureC: 20,
                share: 0,
                kind: "cleaning",
                note: "",
              },
            ],
          })
        }
      >
        Another fluid
      </button>
      <div className="mt-4 grid grid-cols-3 gap-x-5 gap-y-3 border-t border-ink pt-3 max-[760px]:grid-cols-2">
        {FACTS.map(([field, name, unit]) => (
          <NumberIn
            key={field}
            name={name}
            unit={unit}
            value={duty[field]}
            fault={faultOf(faults, field)}
            set={(value) => onDuty({ ...duty, [field]: value, ...(value === null ? refill(field) : {}) })}
          />
        ))}
      </div>
      <div className="flex flex-wrap items-center gap-x-6 pt-3 text-body">
        <span className="flex items-center gap-1.5">
          Solids wear
          <Choice
            label="How hard solids wear"
            value={duty.abrasion ?? ""}
            all="not known"
            of={["none", "light", "medium", "heavy"]}
            onChange={(abrasion) => onDuty({ ...duty, abrasion: abrasion || null, solidsPct: null, solidsMohs: null })}
          />
        </span>
        <span className="flex items-center gap-1.5">
          Touches food
          <YesNo label="Touches food" value={duty.food} set={(food) => onDuty({ ...duty, food })} />
        </span>
        <span className="flex items-center gap-1.5">
          Static
          <Choice
            label="Static"
            value={duty.zone ?? ""}
            all="not known"
            of={["none", "static", "explosive"]}
            say={(z) => (z === "none" ? "does not matter" : z === "static" ? "builds up" : "explosive zone")}
            onChange={(zone) => onDuty({ ...duty, zone: zone || null })}
          />
        </span>
        <span className="flex items-center gap-1.5">
          Runs dry
          <YesNo label="Runs dry" value={duty.runsDry} set={(runsDry) => onDuty({ ...duty, runsDry })} />
        </span>
      </div>
    </div>
  );
}

function refill(field: NumberField): Partial<DutyForm> {
  return field === "suctionLiftM" ? { suctionLiftM: 0 } : field === "stopCost" ? { stopCost: 0 } : {};
}

function faultOf(faults: Fault[], path: string): string {
  return faults.find((f) => f.path === path || f.path.endsWith(`.${path}`))?.message ?? "";
}

function YesNo({ label, value, set }: { label: string; value: boolean | null; set: (v: boolean | null) => void }) {
  return (
    <Choice
      label={label}
      value={value === null ? "" : value ? "yes" : "no"}
      all="not known"
      of={["yes", "no"]}
      onChange={(v) => set(v === "" ? null : v === "yes")}
    />
  );
}

interface FluidProps {
  fluid: FluidForm;
  at: string;
  faults: Fault[];
  set: (change: Partial<FluidForm>) => void;
  drop: (() => void) | null;
}

function Fluid({ fluid: e, at, faults, set, drop }: FluidProps) {
  const library = useQuery({ queryKey: ["materials"], queryFn: api.materials });
  const fluids = library.data?.fluids ?? [];
  const [typed, setTyped] = useState(e.name ?? e.fluid ?? "");
  const fault = faultOf(faults, `${at}.fluid`);
  return (
    <fieldset className="mt-3 border-t border-ink pt-2">
      <legend className="sr-only">{typed || "Fluid"}</legend>
      <div className="grid grid-cols-[repeat(4,minmax(0,1fr))_auto] items-end gap-2.5 max-[760px]:grid-cols-2">
        <label className="col-span-4 text-small text-muted max-[760px]:col-span-2">
          Fluid
          <input
            className="field mt-1 block w-full text-ink"
            list="fluids"
            value={typed}
            aria-invalid={fault !== ""}
            onChange={(x) => {
              const name = x.target.value;
              const known = fluids.find((f) => f.name === name);
              setTyped(name);
              set({ fluid: known?.code ?? name, name: known?.name ?? name });
            }}
          />
        </label>
        <div className="flex items-center justify-end max-[760px]:col-span-2">
          <Choice
            label="What it is there for"
            value={e.kind ?? "process"}
            all="process"
            of={["process", "cleaning", "standing"]}
            onChange={(kind) => set({ kind: kind || "process" })}
          />
        </div>
        <datalist id="fluids">
          {fluids.map((f) => (
            <option key={f.code} value={f.name}>
              {f.aliases.join(", ")}
            </option>
          ))}
        </datalist>
        <NumberIn
          name="Strength, %"
          value={e.concentrationPct}
          fault={faultOf(faults, `${at}.concentrationPct`)}
          set={(concentrationPct) => set({ concentrationPct })}
        />
        <NumberIn
          name="Usual"
          unit="°C"
          value={e.usualC}
          fault={faultOf(faults, `${at}.usualC`)}
          set={(usualC) => set({ usualC })}
        />
        <NumberIn
          name="Highest"
          unit="°C"
          value={e.temperatureC}
          fault={faultOf(faults, `${at}.temperatureC`)}
          set={(temperatureC) => set({ temperatureC })}
        />
        <NumberIn
          name="Of time, %"
          value={e.share === null ? null : Math.round(e.share * 1000) / 10}
          fault={faultOf(faults, `${at}.share`)}
          set={(share) => set({ share: share === null ? null : share / 100 })}
        />
        <div className="flex justify-end max-[760px]:col-span-2">
          {drop && (
            <button type="button" className="press px-3" onClick={drop}>
              Leave it out
            </button>
          )}
        </div>
      </div>
      {fault && <Sentence>{fault}</Sentence>}
    </fieldset>
  );
}

interface NumberProps {
  name: string;
  /** Unit of the records; it is typed in that of the shop. */
  unit?: string;
  value: number | null;
  fault: string;
  set: (value: number | null) => void;
}

/** A number that may stay empty; what is none is kept and told, never guessed. */
function NumberIn({ name, unit = "", value: held, fault, set: keep }: NumberProps) {
  const value = held === null ? null : Number(inShown(held, unit).toFixed(6));
  const set = (now: number | null) => keep(now === null ? null : Number(ofShown(now, unit).toFixed(6)));
  const [typed, setTyped] = useState(value === null ? "" : String(value));
  const read = typedNumber(typed);
  const shown = read === value || read === undefined ? typed : value === null ? "" : String(value);
  const told = read === undefined && shown === typed ? `"${typed}" is not a number.` : fault;
  return (
    <label className="text-small text-muted">
      {unit ? `${name}, ${unitWord(unit)}` : name}
      <NumberInput
        className="mt-1 block w-full text-ink"
        typed={shown}
        invalid={told !== ""}
        onType={(text) => {
          setTyped(text);
          const now = typedNumber(text);
          if (now !== undefined) set(now);
        }}
      />
      {told && <Sentence>{told}</Sentence>}
    </label>
  );
}
