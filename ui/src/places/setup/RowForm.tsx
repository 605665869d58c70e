import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { SetupColumn, SetupNames, SetupRow, SetupTableRows } from "../../api/types";
import { faultAt, faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { namesOf } from "./known";
import { NameField } from "./NameField";

interface Props {
  table: SetupTableRows;
  names: SetupNames[];
  /** The row that is changed; null for a new one. */
  row: SetupRow | null;
  /** A row that the new one begins as; null where it begins empty. */
  like: SetupRow | null;
  close: () => void;
  onLike: (row: SetupRow) => void;
  onDuty: (tag: string) => void;
}

/** A form of one row: what is needed first, the rest folded away. */
export function RowForm({ table, names, row, like, close, onLike, onDuty }: Props) {
  const cache = useQueryClient();
  const start = row?.values ?? (like ? begun(table, like) : {});
  const [typed, setTyped] = useState<Record<string, string>>(start);
  const [all, setAll] = useState(false);
  const done = (now: SetupTableRows) => {
    cache.setQueryData(["setup", table.table], now);
    void cache.invalidateQueries();
    close();
  };
  const put = useMutation({
    mutationFn: () => api.putRow(table.table, row?.key ?? "", row?.values ?? {}, changed(typed, row)),
    onSuccess: done,
  });
  const retire = useMutation({
    mutationFn: (retired: boolean) => api.retireRow(table.table, row?.key ?? "", retired),
    onSuccess: done,
  });
  const faults = faultsOf(put.error ?? retire.error);
  const asked = table.columns.filter((c) => !(row && c.onlyNew));
  const hidden = asked.filter((c) => !c.first && !(typed[c.id] ?? "") && !faultAt(faults, c.id));
  const seen = asked.filter((c) => all || !hidden.includes(c));
  const duty = table.table === "duties" && row !== null;
  return (
    <aside
      className="border-l-[1.5px] border-ink bg-card px-5 pt-3 pb-8 max-[1100px]:border-t-[1.5px] max-[1100px]:border-l-0"
      aria-label={row ? row.key : `A new ${table.one}`}
    >
      <form
        onSubmit={(e) => {
          e.preventDefault();
          put.mutate();
        }}
      >
        <h2 className="border-b-[1.5px] border-ink pb-1 text-title font-[680]">
          {row ? row.key : like ? `Another like ${like.key}` : `A new ${table.one}`}
        </h2>
        {faults
          .filter((f) => !asked.some((c) => c.id === f.path))
          .map((f) => (
            <Sentence key={f.path + f.message}>{f.message}</Sentence>
          ))}
        {duty && (
          <p className="py-2 text-body">
            The shares of a pump change together.{" "}
            <button type="button" className="under" onClick={() => onDuty(row.values["pump"] ?? "")}>
              Change the duty of {row.values["pump"]}
            </button>
          </p>
        )}
        {seen.map((c) => (
          <Field
            key={c.id}
            column={c}
            names={names}
            value={typed[c.id] ?? ""}
            fault={faultAt(faults, c.id)}
            shut={row?.retired ?? false}
            onType={(value) => setTyped((now) => ({ ...now, [c.id]: value }))}
          />
        ))}
        {!all && hidden.length > 0 && (
          <button type="button" className="under mt-3 text-body" onClick={() => setAll(true)}>
            and {hidden.length} that may be left out: {hidden.map((c) => c.title.toLowerCase()).join(", ")}
          </button>
        )}
        <div className="sticky bottom-0 flex flex-wrap gap-2 bg-card py-3">
          {!row?.retired && (
            <button type="submit" className="press go min-w-40 flex-1" disabled={put.isPending}>
              {row ? "Keep the change" : `Add the ${table.one}`}
            </button>
          )}
          <button type="button" className="press" onClick={close}>
            {row ? "Close" : "Not now"}
          </button>
        </div>
        {row && (
          <div className="mt-4 flex flex-wrap gap-2 border-t border-line pt-3">
            {!row.retired && (
              <button type="button" className="press" onClick={() => onLike(row)}>
                Another like it
              </button>
            )}
            <button
              type="button"
              className="press"
              disabled={retire.isPending}
              onClick={() => retire.mutate(!row.retired)}
            >
              {row.retired ? "Take it back" : table.retires ? "Retire" : "Take it out"}
            </button>
          </div>
        )}
        <p className="pt-3 text-body text-soft">
          {table.retires
            ? "What has a history is retired, never deleted. The last change can be taken back."
            : "The last change can be taken back."}
        </p>
      </form>
    </aside>
  );
}

/** A new row that begins as another: all of it but what it is known by. */
function begun(table: SetupTableRows, like: SetupRow): Record<string, string> {
  return Object.fromEntries(Object.entries(like.values).filter(([id]) => !table.key.includes(id) && id !== "serial"));
}

/** What differs from the row that was seen; of a new one everything. */
function changed(typed: Record<string, string>, row: SetupRow | null): Record<string, string> {
  return Object.fromEntries(Object.entries(typed).filter(([id, value]) => !row || row.values[id] !== value));
}

interface FieldProps {
  column: SetupColumn;
  names: SetupNames[];
  value: string;
  fault: string | undefined;
  shut: boolean;
  onType: (value: string) => void;
}

const EXAMPLES: Partial<Record<SetupColumn["holds"], string>> = {
  day: "2026-03-01",
  time: "06:00",
  moment: "2026-03-01 06:00",
};

function Field({ column: c, names, value, fault, shut, onType }: FieldProps) {
  return (
    <label className="grid grid-cols-[150px_minmax(0,1fr)] items-center gap-x-3 border-b border-line2 py-1.5">
      <span className="text-body leading-[17px]">
        <b className="font-[660]">{c.title}</b>
        {c.unit && <span className="text-soft">, {c.unit}</span>}
        {!c.needed && <span className="block text-small text-soft">may be left out</span>}
      </span>
      <span className="min-w-0">
        {c.holds === "name" ? (
          <NameField
            label={c.title}
            names={namesOf(names, c.names)}
            value={value}
            shut={shut}
            bad={fault !== undefined}
            onType={onType}
          />
        ) : c.holds === "yes-no" ? (
          <span className="flex gap-2" role="group" aria-label={c.title}>
            {["yes", "no"].map((v) => (
              <button
                key={v}
                type="button"
                className={`press min-w-16 ${value === v ? "call" : ""}`}
                aria-pressed={value === v}
                disabled={shut}
                onClick={() => onType(v)}
              >
                {v}
              </button>
            ))}
          </span>
        ) : (
          <input
            className={`field w-full ${c.holds === "text" ? "" : "m"}`}
            aria-label={c.title}
            aria-invalid={fault !== undefined}
            value={value}
            disabled={shut}
            inputMode={c.holds === "number" ? "decimal" : c.holds === "whole" ? "numeric" : "text"}
            placeholder={EXAMPLES[c.holds] ?? ""}
            onChange={(e) => onType(e.target.value)}
          />
        )}
        {!fault && (
          <span className="block pt-0.5 text-small text-soft">
            {[c.says, c.holds === "name" || c.holds === "yes-no" ? "" : c.takes].filter(Boolean).join("; ")}
          </span>
        )}
        {fault && <Sentence>{fault}</Sentence>}
      </span>
    </label>
  );
}
