import { useQuery } from "@tanstack/react-query";
import { type ComponentProps, useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { SetupNames, SetupTableId, SetupView, SheetSaid, WorkbookRequest, WorkbookSheet } from "../../api/types";
import { Faults } from "../../parts/BringTable";
import { Choice } from "../../parts/Choice";
import { FileButton } from "../../parts/FileButton";
import { Failed, Loading } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { counted } from "../../text/counted";
import { rounded } from "../../text/numbers";
import { isMonthFirst } from "../../text/shownIn";
import { base64 } from "./base64";
import { Bringing } from "./Bringing";
import { BRING_WIDTH, BringFoot, Columns, DayOrder, type Sums, ToSay } from "./Brought";
import { useBringing } from "./useBringing";

type Asked = Omit<WorkbookRequest, "dryRun" | "watch">;

/** A workbook of several tables brought in: which sheet is which table, what each would do, then all at once. */
export default function Workbook() {
  const setup = useQuery({ queryKey: ["setup"], queryFn: api.setup });
  const names = useQuery({ queryKey: ["setup", "names"], queryFn: api.setupNames });
  if (setup.isError) return <Failed error={setup.error} what="the set-up" />;
  if (!setup.data || !names.data) return <Loading what="the set-up" />;
  return <OfTables setup={setup.data} names={names.data} />;
}

function OfTables({ setup, names }: { setup: SetupView; names: SetupNames[] }) {
  const lead = useMay("lead");
  const [name, setName] = useState("");
  const [open, setOpen] = useState("");
  const { asked, ask, look, bring, watch, error } = useBringing(
    (q: Asked & Pick<WorkbookRequest, "dryRun" | "watch">) => api.bringWorkbook(q),
  );
  const say = (sheet: string, said: Partial<SheetSaid>) =>
    asked && ask({ ...asked, sheets: { ...asked.sheets, [sheet]: { ...saidOf(asked, sheet), ...said } } });
  const sheets = (bring.data ?? look.data)?.sheets ?? [];
  const shown = sheets.find((s) => s.sheet === open && s.brought) ?? sheets.find((s) => (s.brought?.wrong ?? 0) > 0);
  return (
    <main className="flex flex-1 flex-col">
      <div className="flex flex-wrap items-center gap-3 px-5 pt-3 pb-2">
        <h1 className="flex-1 text-head leading-9 font-[680]">
          <Link to="/setup" className="under text-soft">
            Set-up,
          </Link>{" "}
          {sheets.length > 0 ? `${counted(sheets.length, "sheet")} of ${name}` : "one workbook"}
        </h1>
        {asked && sheets.length > 0 && (
          <DayOrder monthFirst={asked.monthFirst ?? false} say={(monthFirst) => ask({ ...asked, monthFirst })} />
        )}
        <a className="press inline-flex items-center px-4" href={api.workbookFile(true)}>
          Template
        </a>
        <FileButton
          className="press call px-5"
          label="Workbook as XLSX"
          accept=".xlsx"
          disabled={!lead.may}
          title={lead.why}
          onFile={async (file) => {
            bring.reset();
            setName(file.name);
            setOpen("");
            ask({ file: await base64(file), sheets: {}, monthFirst: isMonthFirst(), leaveOut: false });
          }}
        >
          {sheets.length > 0 ? "Another file" : "Choose the file"}
        </FileButton>
      </div>
      {sheets.length === 0 && !error && !look.isPending && (
        <p className="mx-5 max-w-[70ch] border-t-[1.5px] border-ink py-4 text-lead text-soft">
          Every table of the shop in one XLSX, a sheet each: pumps, what is in them, past runs, people, kits, whatever
          you have. A sheet is known by its name; leave out those you do not need. All of it is brought at once, or
          nothing.
        </p>
      )}
      {(look.isPending || bring.isPending) && <Bringing watch={watch} writes={bring.isPending} />}
      {error && (
        <div className="px-5 pb-2">
          <Faults error={error} />
        </div>
      )}
      {sheets.length > 0 && asked && (
        <div className="grid flex-1 grid-cols-[minmax(0,1fr)_380px] grid-rows-[auto_1fr] border-t-[1.5px] border-ink max-[1000px]:grid-cols-1 max-[1000px]:grid-rows-none">
          <div className="overflow-x-auto px-5 pb-4">
            <Sheets sheets={sheets} setup={setup} shown={shown?.sheet ?? ""} open={setOpen} say={say} />
          </div>
          <aside className="row-span-2 border-l-[1.5px] border-ink bg-card px-5 pt-2 pb-6 max-[1000px]:row-span-1 max-[1000px]:border-y max-[1000px]:border-l-0">
            {shown?.brought && shown.table ? (
              <OfSheet
                table={shown.table}
                seen={shown.brought}
                said={saidOf(asked, shown.sheet)}
                say={(s) => say(shown.sheet, s)}
                names={names}
              />
            ) : (
              <p className="pt-1 text-body text-soft">Open a sheet to see how its columns are read.</p>
            )}
          </aside>
          {shown?.brought && (
            <section aria-label={`What fills ${shown.sheet}`} className="overflow-x-auto px-5 pb-4">
              <h2 className="text-title font-[680]">{shown.sheet}</h2>
              <Columns seen={shown.brought} said={saidOf(asked, shown.sheet)} say={(s) => say(shown.sheet, s)} />
            </section>
          )}
        </div>
      )}
      {sheets.length > 0 && asked && !bring.isPending && (
        <BringFoot
          sums={summed(sheets)}
          done={bring.data !== undefined}
          bring={(leaveOut) => bring.mutate({ ...asked, leaveOut })}
        >
          <Link className={`press go inline-flex items-center justify-center ${BRING_WIDTH}`} to="/setup">
            To the set-up
          </Link>
        </BringFoot>
      )}
    </main>
  );
}

/** What was said of a sheet; its name says which table it is where nobody did. */
function saidOf(asked: Asked, sheet: string): SheetSaid {
  return asked.sheets?.[sheet] ?? { table: "", columns: {}, words: {} };
}

function summed(sheets: WorkbookSheet[]): Sums {
  const of = (kind: keyof Sums) => sheets.reduce((n, s) => n + (s.brought?.[kind] ?? 0), 0);
  return { fresh: of("fresh"), changed: of("changed"), same: of("same"), wrong: of("wrong") };
}

/** What is still to be said of a sheet, once it is known which names its columns take. */
function OfSheet({ table, ...of }: { table: SetupTableId } & Omit<ComponentProps<typeof ToSay>, "table">) {
  const rows = useQuery({ queryKey: ["setup", table], queryFn: () => api.setupTable(table) });
  return rows.data ? <ToSay table={rows.data} {...of} /> : null;
}

const LEFT_OUT = "left-out";

function Sheets({
  sheets,
  setup,
  shown,
  open,
  say,
}: {
  sheets: WorkbookSheet[];
  setup: SetupView;
  shown: string;
  open: (sheet: string) => void;
  say: (sheet: string, said: { table: string }) => void;
}) {
  const title = (id: string) => setup.tables.find((t) => t.table === id)?.title ?? id;
  return (
    <table className="w-full text-left text-body" aria-label="Sheets">
      <thead>
        <tr className="border-b border-ink">
          {["Sheet", "Is the table", "Rows", "New", "Changed", "The same", "At fault"].map((h, i) => (
            <th key={h} className={`py-1.5 font-[680] ${i > 1 ? "text-right" : ""} ${i < 6 ? "pr-4" : ""}`}>
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sheets.map((s) => (
          <tr key={s.sheet} className={`border-b border-line2 ${s.sheet === shown ? "bg-wash" : ""}`}>
            <td className="pr-4">
              <button
                type="button"
                className="min-h-11 text-left text-lead font-[680] disabled:font-normal disabled:text-muted"
                disabled={!s.brought}
                onClick={() => open(s.sheet)}
              >
                {s.sheet}
              </button>
            </td>
            <td className="pr-4">
              <Choice
                label={`Table of ${s.sheet}`}
                value={s.table ?? ""}
                all="left out"
                of={setup.tables.map((t) => t.table)}
                say={title}
                onChange={(table) => say(s.sheet, { table: table || LEFT_OUT })}
              />
            </td>
            {[s.brought?.rows, s.brought?.fresh, s.brought?.changed, s.brought?.same].map((n, i) => (
              <td key={i} className="m pr-4 text-right">
                {n === undefined ? "" : rounded(n)}
              </td>
            ))}
            <td className={`m text-right ${(s.brought?.wrong ?? 0) > 0 ? "font-semibold text-renew" : ""}`}>
              {s.brought ? rounded(s.brought.wrong) : ""}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
