import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { SetupColumn, SetupNames, SetupRow, SetupTableId, SetupTableRows } from "../../api/types";
import { Failed, Loading } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { Bring } from "./Bring";
import { rounded } from "../../text/numbers";
import { shown } from "./known";
import { RowForm } from "./RowForm";

/** How many rows are drawn at once; the rest is found by a word. */
const SHOWN = 200;
const COLUMNS = 6;

/** One table of the set-up: its rows, a form for one of them, a spreadsheet in and out. */
export default function SetupTable() {
  const id = (useParams()["table"] ?? "") as SetupTableId;
  const table = useQuery({ queryKey: ["setup", id], queryFn: () => api.setupTable(id) });
  const names = useQuery({ queryKey: ["setup", "names"], queryFn: api.setupNames });
  if (table.isError) return <Failed error={table.error} what="the table" />;
  if (!table.data || !names.data) return <Loading what="the table" />;
  return <Rows key={id} table={table.data} names={names.data} />;
}

/** What is done at the side: a new row, one that stands, a spreadsheet, nothing. */
type Side = { kind: "none" } | { kind: "bring" } | { kind: "row"; row: SetupRow | null; like: SetupRow | null };

function Rows({ table, names }: { table: SetupTableRows; names: SetupNames[] }) {
  const [search, setSearch] = useSearchParams();
  const go = useNavigate();
  const fill = useMay(table.table === "lots" ? "stock" : "lead");
  const [word, setWord] = useState("");
  const [side, setSide] = useState<Side>(() =>
    search.has("bring")
      ? { kind: "bring" }
      : search.has("add")
        ? { kind: "row", row: null, like: null }
        : { kind: "none" },
  );
  const close = () => {
    setSide({ kind: "none" });
    setSearch({}, { replace: true });
  };
  const wanted = word.trim().toLowerCase();
  const rows = table.rows.filter(
    (r) => !wanted || Object.values(r.values).some((v) => v.toLowerCase().includes(wanted)),
  );
  const columns = table.columns.slice(0, COLUMNS);
  if (side.kind === "bring") return <Bring table={table} names={names} close={close} />;
  return (
    <main
      className={`grid flex-1 ${side.kind === "row" ? "grid-cols-[minmax(0,1fr)_440px] max-[1100px]:grid-cols-1" : "grid-cols-1"}`}
    >
      <section className="px-5 pt-3 pb-8" aria-label={table.title}>
        <div className="flex flex-wrap items-center gap-2.5 pb-2">
          <h1 className="pr-2 text-head leading-9 font-[680]">
            <Link to="/setup" className="under text-soft">
              Set-up,
            </Link>{" "}
            {table.title.toLowerCase()}
          </h1>
          <input
            className="field w-44"
            aria-label={`Find among ${table.title.toLowerCase()}`}
            placeholder={`Find among ${rounded(table.rows.length)}`}
            value={word}
            onChange={(e) => setWord(e.target.value)}
          />
          <span className="flex-1" />
          {side.kind === "none" && (
            <>
              <span className="text-body text-soft">take out as</span>
              <a className="press inline-flex items-center px-4" href={api.setupFile(table.table, "xlsx")}>
                XLSX
              </a>
              <a className="press inline-flex items-center px-4" href={api.setupFile(table.table, "csv")}>
                CSV
              </a>
            </>
          )}
          <button
            type="button"
            className="press px-4"
            disabled={!fill.may}
            title={fill.why}
            onClick={() => setSide({ kind: "bring" })}
          >
            Bring a table
          </button>
          <button
            type="button"
            className="press go px-5"
            disabled={!fill.may}
            title={fill.why}
            onClick={() => setSide({ kind: "row", row: null, like: null })}
          >
            Add one
          </button>
        </div>
        {table.rows.length === 0 && (
          <p className="border-t-[1.5px] border-ink py-4 text-lead text-soft">
            None yet. Add one, or bring the table you have: any headings, any order.
          </p>
        )}
        {table.rows.length > 0 && (
          <div className="overflow-x-auto">
            <table className="w-full border-t-[1.5px] border-ink text-left text-body">
              <thead>
                <tr className="border-b border-ink">
                  {columns.map((c) => (
                    <th key={c.id} className="py-1.5 pr-4 font-[680] whitespace-nowrap">
                      {c.title}
                      {c.unit && <span className="font-normal text-soft">, {c.unit}</span>}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.slice(0, SHOWN).map((r) => (
                  <Line
                    key={r.key}
                    row={r}
                    columns={columns}
                    names={names}
                    chosen={side.kind === "row" && side.row?.key === r.key}
                    fixed={table.recorded}
                    onOpen={() => setSide({ kind: "row", row: r, like: null })}
                  />
                ))}
              </tbody>
            </table>
          </div>
        )}
        {rows.length > SHOWN && (
          <p className="py-2 text-body text-soft">and {rows.length - SHOWN} more: find them by a word</p>
        )}
        {table.count > table.rows.length && (
          <p className="py-2 text-body text-soft">
            The first {rounded(table.rows.length)} of {rounded(table.count)} are here: take them out to see all.
          </p>
        )}
        {table.rows.length > 0 && rows.length === 0 && (
          <p className="py-3 text-lead text-soft">None has “{word}” in it.</p>
        )}
      </section>
      {side.kind === "row" && (
        <RowForm
          key={side.row?.key ?? `new ${side.like?.key ?? ""}`}
          table={table}
          names={names}
          row={side.row}
          like={side.like}
          close={close}
          onLike={(row) => setSide({ kind: "row", row: null, like: row })}
          onDuty={(tag) => void go(`/wet-ends/${tag}`)}
        />
      )}
    </main>
  );
}

function Line({
  row,
  columns,
  names,
  chosen,
  fixed,
  onOpen,
}: {
  row: SetupRow;
  columns: SetupColumn[];
  names: SetupNames[];
  chosen: boolean;
  /** Records stay as they are: there is nothing to open. */
  fixed: boolean;
  onOpen: () => void;
}) {
  return (
    <tr className={`border-b border-line2 ${chosen ? "bg-wash" : ""} ${row.retired ? "text-muted" : ""}`}>
      {columns.map((c, i) => (
        <td key={c.id} className="py-0 pr-4">
          {i === 0 ? (
            <button
              type="button"
              className="min-h-11 text-left text-lead font-[680] whitespace-nowrap"
              disabled={fixed}
              onClick={onOpen}
            >
              {shown(c, row.values[c.id] ?? "", names)}
              {row.retired && <span className="pl-2 text-body font-normal">retired</span>}
            </button>
          ) : (
            <span className={c.holds === "number" || c.holds === "whole" ? "m" : ""}>
              {shown(c, row.values[c.id] ?? "", names)}
            </span>
          )}
        </td>
      ))}
    </tr>
  );
}
