import { useEffect, useId, useMemo, useState } from "react";
import { Link } from "react-router";
import type { Fault, Source } from "../../../api/types";
import { NumberInput } from "../../../parts/ReadingField";
import { SourceMark } from "../../../parts/SourceMark";
import { Sentence } from "../../../parts/States";
import { inShown, typedInRecords, unitWord } from "../../../text/shop";
import { Tab } from "../Tab";
import { guideOf, isEmpty, withValue, type Field, type Guide, type Path, type Row } from "./sheetText";

type Group = "joints" | "proof" | "limits" | "ages" | "minutes";

const GROUPS: { id: Group; title: string; say: string }[] = [
  { id: "joints", title: "Joints", say: "Thread and torque; hours until they are tightened again." },
  { id: "proof", title: "Proof", say: "What a test must read before the pump goes back." },
  { id: "limits", title: "Wear limits", say: "From which reading a part is watched, and from which it is renewed." },
  {
    id: "ages",
    title: "Longest ages",
    say: "Renewed then whatever its state; left empty, the shop's history decides.",
  },
  { id: "minutes", title: "Minutes", say: "Until three jobs here have told better." },
];

interface Props {
  text: string;
  onChange: (text: string) => void;
  check: (text: string) => Promise<unknown>;
  faults: Fault[];
}

/** What a shop changes first in a sheet, value by value, each with the page of the manual it is from. */
export default function GuidedForm({ text, onChange, check, faults }: Props) {
  const [group, setGroup] = useState<Group>("joints");
  const guide = useMemo(() => guideOf(text), [text]);
  useEffect(() => {
    const later = setTimeout(() => void check(text), 300);
    return () => clearTimeout(later);
  }, [text, check]);
  const keep = (at: Path, value: string) => onChange(withValue(text, at, value));
  // A torque is the manual's or a table's: with its page it is no table value any more.
  const keepPage = (row: Row, page: Field, value: string) => {
    const plain = row.table && value !== "" ? withValue(text, [...page.at.slice(0, -1), "guidance"], "") : text;
    onChange(withValue(plain, page.at, value));
  };
  const shown = GROUPS.find((g) => g.id === group);
  if (isEmpty(guide))
    return <p className="px-5 py-4 text-body">This text is no sheet yet: see under YAML what is wrong with it.</p>;
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="grid grid-cols-2 gap-x-3 gap-y-1 border-b border-line px-5 pb-2.5">
        {guide.head.map((f) => (
          <Value
            key={f.at.at(-1)}
            field={f}
            keep={(v) => keep(f.at, v)}
            className={f.at[0] === "title" ? "col-span-2" : ""}
          />
        ))}
      </div>
      <div className="flex flex-wrap gap-x-4 border-b border-ink px-5" role="group" aria-label="What is changed">
        {GROUPS.map((g) => (
          <Tab key={g.id} on={g.id === group} onPress={() => setGroup(g.id)}>
            {g.title} <span className="m text-small font-medium">{guide[g.id].length}</span>
          </Tab>
        ))}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto px-5 pb-6">
        <p className="flex justify-between gap-4 py-2 text-small text-muted">
          <span>{shown?.say}</span>
          <span className="whitespace-nowrap">{confirmed(guide, group)}</span>
        </p>
        <ul>
          {guide[group].map((r) => (
            <Values
              key={r.path}
              row={r}
              keep={keep}
              keepPage={keepPage}
              fault={faults.find((f) => f.path.startsWith(r.path))}
            />
          ))}
        </ul>
        <p className="pt-3 text-body text-soft">
          Prices, days to come and the interval of each pump are said in{" "}
          <Link className="under" to="/setup">
            Set-up
          </Link>
          .
        </p>
      </div>
    </div>
  );
}

/** How many of a group the maker's manual says; empty where no manual says such values. */
function confirmed(guide: Guide, group: Group): string {
  const sourced = guide[group].filter((r) => r.page);
  if (sourced.length === 0) return "";
  return `${sourced.filter((r) => r.page?.value).length} of ${sourced.length} from the manual`;
}

function sourceOf(row: Row): Source | undefined {
  if (!row.page) return undefined;
  if (row.page.value) return { kind: "manual", page: row.page.value };
  return { kind: row.table ? "table" : "starting", page: "" };
}

interface ValuesProps {
  row: Row;
  keep: (at: Path, value: string) => void;
  keepPage: (row: Row, page: Field, value: string) => void;
  fault: Fault | undefined;
}

function Values({ row, keep, keepPage, fault }: ValuesProps) {
  const { page } = row;
  const source = sourceOf(row);
  return (
    <li className="border-t border-line2 pt-1.5 pb-2">
      <p className="flex items-start justify-between gap-3 text-body leading-[18px] font-[600]">
        {row.name}
        {source && <SourceMark source={source} />}
      </p>
      <div className="flex flex-wrap gap-x-2 pt-0.5">
        {row.fields.map((f) => (
          <Value key={f.at.at(-1)} field={f} keep={(v) => keep(f.at, v)} />
        ))}
        {page && <Value field={page} keep={(v) => keepPage(row, page, v)} />}
      </div>
      {fault && <Sentence>{fault.message}</Sentence>}
    </li>
  );
}

/** One value, typed in the shop's unit; it goes into the sheet when the field is left. */
function Value({ field, keep, className }: { field: Field; keep: (value: string) => void; className?: string }) {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const number = field.unit !== "";
  const value = number && field.value !== "" ? shown(Number(field.value), field.unit) : field.value;
  const wrong = typed !== null && number && typed.trim() !== "" && typedInRecords(typed, field.unit) === null;
  const leave = () => {
    if (typed === null || wrong) return;
    setTyped(null);
    if (typed.trim() === value) return;
    keep(number ? records(typed, field.unit) : typed.trim());
  };
  const size = className ?? (number ? "w-[86px]" : "w-[104px]");
  return (
    <label htmlFor={id} className={`block ${size}`}>
      <span className="block truncate text-small text-muted">
        {field.label}
        {number && `, ${unitWord(field.unit)}`}
      </span>
      {number ? (
        <NumberInput
          id={id}
          className="h-11 w-full text-body"
          typed={typed ?? value}
          onType={setTyped}
          invalid={wrong}
          onLeave={leave}
          onEnter={leave}
        />
      ) : (
        <input
          id={id}
          className="field h-11 w-full text-body"
          autoComplete="off"
          value={typed ?? value}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={leave}
          onKeyDown={(e) => e.key === "Enter" && leave()}
        />
      )}
      {wrong && (
        <span role="status" className="block text-small font-[640] text-renew">
          no number
        </span>
      )}
    </label>
  );
}

/** Digits enough that a value comes back as it was. */
const shown = (value: number, unit: string): string => String(Number(inShown(value, unit).toFixed(3)));

function records(typed: string, unit: string): string {
  const value = typedInRecords(typed, unit);
  return value === null ? "" : String(Number(value.toFixed(4)));
}
