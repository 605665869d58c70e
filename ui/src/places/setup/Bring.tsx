import { useState } from "react";
import { api } from "../../api/client";
import type { BringRequest, SetupNames, SetupTableRows } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { FileButton } from "../../parts/FileButton";
import { Faults } from "../../parts/BringTable";
import { counted } from "../../text/counted";
import { base64 } from "./base64";
import { BRING_WIDTH, BringFoot, Columns, DayOrder, type Said, ToSay } from "./Brought";
import { Bringing } from "./Bringing";
import { useBringing } from "./useBringing";
import { isMonthFirst } from "../../text/shownIn";

type Asked = Omit<BringRequest, "dryRun" | "watch">;

/** A spreadsheet brought in: what each heading is taken for, what it would do, then all of it at once. */
export function Bring({ table, names, close }: { table: SetupTableRows; names: SetupNames[]; close: () => void }) {
  const [name, setName] = useState("");
  const { asked, ask, look, bring, watch, error } = useBringing((q: Asked & Pick<BringRequest, "dryRun" | "watch">) =>
    api.bringRows(table.table, q),
  );
  const say = (said: Said) => asked && ask({ ...asked, ...said });
  const seen = look.data;
  const done = bring.data;
  return (
    <main className="flex flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-3 px-5 pt-3 pb-2">
        <h1 className="flex-1 text-head leading-9 font-[680]">
          {seen && asked ? (
            <>
              {counted(seen.rows, "row")} of {name}
            </>
          ) : (
            `Bring ${table.title.toLowerCase()}`
          )}
        </h1>
        {seen && asked && seen.sheets.length > 1 && (
          <span className="text-lead">
            <Choice
              label="Sheet"
              value={seen.sheet}
              all={seen.sheet}
              of={seen.sheets}
              onChange={(sheet) => ask({ ...asked, sheet })}
            />
          </span>
        )}
        {seen && asked && (
          <DayOrder monthFirst={asked.monthFirst ?? false} say={(monthFirst) => ask({ ...asked, monthFirst })} />
        )}
        <a className="press inline-flex items-center px-4" href={api.setupFile(table.table, "xlsx", true)}>
          Template
        </a>
        <FileButton
          className="press call px-5"
          label={`${table.title} as CSV or XLSX`}
          accept=".csv,.tsv,.txt,.xlsx,text/csv"
          onFile={async (file) => {
            bring.reset();
            setName(file.name);
            ask({ file: await base64(file), columns: {}, words: {}, monthFirst: isMonthFirst(), leaveOut: false });
          }}
        >
          {seen ? "Another file" : "Choose the file"}
        </FileButton>
        <button type="button" className="press" onClick={close}>
          Back
        </button>
      </div>
      {!seen && !error && (
        <p className="mx-5 max-w-[70ch] border-t-[1.5px] border-ink py-4 text-lead text-soft">
          CSV or XLSX, with any headings in any order, decimal comma or point, days in the usual ways. Nothing is
          written before you have seen what it would do. Rows are known by {keyTitles(table)}: brought again they change
          what stands.
        </p>
      )}
      {(look.isPending || bring.isPending) && <Bringing watch={watch} writes={bring.isPending} />}
      {error && (
        <div className="px-5 pb-2">
          <Faults error={error} />
        </div>
      )}
      {seen && asked && (
        <div className="grid flex-1 grid-cols-[minmax(0,1fr)_380px] border-t-[1.5px] border-ink max-[1000px]:grid-cols-1">
          <section className="overflow-x-auto px-5 pb-4" aria-label="What each column is filled by">
            <Columns seen={seen} said={asked} say={say} />
          </section>
          <aside className="border-l-[1.5px] border-ink bg-card px-5 pt-2 pb-6 max-[1000px]:order-first max-[1000px]:border-b max-[1000px]:border-l-0">
            <ToSay seen={seen} said={asked} say={say} table={table} names={names} />
          </aside>
        </div>
      )}
      {seen && asked && !bring.isPending && (
        <BringFoot
          sums={done ?? seen}
          done={done !== undefined}
          bring={(leaveOut) => bring.mutate({ ...asked, leaveOut })}
        >
          <button type="button" className={`press go ${BRING_WIDTH}`} onClick={close}>
            To the table
          </button>
        </BringFoot>
      )}
    </main>
  );
}

function keyTitles(table: SetupTableRows): string {
  return table.key.map((k) => (table.columns.find((c) => c.id === k)?.title ?? k).toLowerCase()).join(" and ");
}
