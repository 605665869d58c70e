import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { BringRequest, BroughtView, SetupName, SetupNames, SetupTableRows } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { FileButton } from "../../parts/FileButton";
import { Mark } from "../../parts/Mark";
import { Faults } from "../../parts/BringTable";
import { counted } from "../../text/counted";
import { namesOf } from "./known";
import { NameField } from "./NameField";
import { isMonthFirst } from "../../text/shownIn";

type Asked = Omit<BringRequest, "dryRun">;

const LEFT_OUT = "left out";

/** A file as it is sent inside of JSON. */
async function base64(file: File): Promise<string> {
  const url = await new Promise<string>((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done(reader.result as string);
    reader.onerror = () => failed(reader.error ?? new Error("The file cannot be read."));
    reader.readAsDataURL(file);
  });
  return url.slice(url.indexOf(",") + 1);
}

/** A spreadsheet brought in: what each heading is taken for, what it would do, then all of it at once. */
export function Bring({ table, names, close }: { table: SetupTableRows; names: SetupNames[]; close: () => void }) {
  const cache = useQueryClient();
  const [name, setName] = useState("");
  const [asked, setAsked] = useState<Asked | null>(null);
  const look = useMutation({ mutationFn: (q: Asked) => api.bringRows(table.table, { ...q, dryRun: true }) });
  const bring = useMutation({
    mutationFn: (q: Asked) => api.bringRows(table.table, { ...q, dryRun: false }),
    onSuccess: () => cache.invalidateQueries(),
  });
  const ask = (q: Asked) => {
    setAsked(q);
    look.mutate(q);
  };
  const seen = look.data;
  const error = look.error ?? bring.error;
  const done = bring.data;
  const moving = seen ? seen.fresh + seen.changed : 0;
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
          <span className="flex items-center text-lead">
            days as{" "}
            <Choice
              label="Order of a day"
              value={asked.monthFirst ? "month first" : "day first"}
              all="day first"
              of={["day first", "month first"]}
              onChange={(v) => ask({ ...asked, monthFirst: v === "month first" })}
            />
          </span>
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
      {error && (
        <div className="px-5 pb-2">
          <Faults error={error} />
        </div>
      )}
      {seen && asked && (
        <div className="grid flex-1 grid-cols-[minmax(0,1fr)_380px] border-t-[1.5px] border-ink max-[1000px]:grid-cols-1">
          <section className="overflow-x-auto px-5 pb-4" aria-label="What each column is filled by">
            <Columns seen={seen} asked={asked} ask={ask} />
          </section>
          <aside className="border-l-[1.5px] border-ink bg-card px-5 pt-2 pb-6">
            {seen.unknown.map((u) => (
              <Unknown
                key={u.column + u.word}
                word={u}
                names={namesOf(names, table.columns.find((c) => c.id === u.column)?.names ?? "any")}
                onSay={(code) =>
                  ask({
                    ...asked,
                    words: { ...asked.words, [u.column]: { ...asked.words?.[u.column], [u.word]: code } },
                  })
                }
              />
            ))}
            <FaultList seen={seen} />
            <Changes seen={seen} />
          </aside>
        </div>
      )}
      {seen && asked && (
        <div className="sticky bottom-0 flex flex-wrap items-center gap-4 border-t-[1.5px] border-ink bg-paper px-5 py-2">
          <p className="text-lead" role="status">
            {done ? "Brought: " : "Dry run: "}
            <b>{(done ?? seen).fresh} new</b>, {(done ?? seen).changed} changed, {(done ?? seen).same} the same
            {(done ?? seen).wrong > 0 && <b className="text-renew">, {(done ?? seen).wrong} at fault</b>}
          </p>
          <span className="flex-1" />
          {!done && seen.wrong > 0 && moving > 0 && (
            <button
              type="button"
              className="press"
              disabled={bring.isPending}
              onClick={() => bring.mutate({ ...asked, leaveOut: true })}
            >
              Leave {seen.wrong} out, bring {moving}
            </button>
          )}
          {!done && (
            <button
              type="button"
              className="press go min-w-[260px]"
              disabled={bring.isPending || seen.wrong > 0 || moving === 0}
              onClick={() => bring.mutate(asked)}
            >
              {bring.isPending ? "Bringing" : `Bring ${counted(moving, "row")}`}
            </button>
          )}
          {done && (
            <button type="button" className="press go min-w-[260px]" onClick={close}>
              To the table
            </button>
          )}
        </div>
      )}
    </main>
  );
}

function keyTitles(table: SetupTableRows): string {
  return table.key.map((k) => (table.columns.find((c) => c.id === k)?.title ?? k).toLowerCase()).join(" and ");
}

function Columns({ seen, asked, ask }: { seen: BroughtView; asked: Asked; ask: (q: Asked) => void }) {
  const headings = seen.headings.map((h) => h.name);
  return (
    <table className="w-full text-left text-body">
      <thead>
        <tr className="border-b border-ink">
          <th className="w-6 py-1.5" aria-label="State" />
          <th className="w-56 py-1.5 font-[680]">Here</th>
          <th className="w-64 py-1.5 font-[680]">In your table</th>
          <th className="py-1.5 font-[680]">It says</th>
        </tr>
      </thead>
      <tbody>
        {seen.fields.map((f) => {
          const heading = seen.headings.find((h) => f.heading !== "" && h.name === f.heading);
          return (
            <tr key={f.id} className="border-b border-line2">
              <td>
                <Mark state={heading ? "sound" : f.needed ? "watch" : "unknown"} size={12} />
              </td>
              <td className="pr-4">
                <b className="font-[660]">{f.title}</b>
                {f.needed && !heading && (
                  <span className="block text-small text-watch-words">needed for what is new</span>
                )}
              </td>
              <td className="pr-4">
                <Choice
                  label={f.title}
                  value={heading ? heading.name : ""}
                  all={LEFT_OUT}
                  of={headings.filter((h) => h !== "")}
                  say={(h) => `${seen.headings.find((x) => x.name === h)?.letter ?? ""}  ${h}`}
                  onChange={(h) => ask({ ...asked, columns: { ...asked.columns, [f.id]: h } })}
                />
                {heading && f.sure < 100 && <span className="pl-2 text-small text-watch-words">{f.sure} % sure</span>}
              </td>
              <td className="m max-w-[260px] truncate text-small text-soft">{heading?.examples.join(", ")}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Unknown({
  word: u,
  names,
  onSay,
}: {
  word: BroughtView["unknown"][number];
  names: SetupName[];
  onSay: (code: string) => void;
}) {
  return (
    <section className="border-b border-line py-2" aria-label={`What ${u.word} is`}>
      <h2 className="flex items-baseline justify-between">
        <span className="text-title font-[680]">{u.word}</span>
        <span className="text-right text-small text-soft">
          {counted(u.rows, "row")}, {u.cells.join(" ")}
        </span>
      </h2>
      <p className="pb-1.5 text-body text-soft">
        {u.near.length > 0
          ? "Nothing here is called so. Nearest by name; none is taken by itself."
          : "Nothing here is called so, nor nearly so: find what it is."}
      </p>
      <div className="flex flex-col gap-1.5">
        {u.near.map((n) => (
          <button
            key={n.code}
            type="button"
            className="press flex items-center justify-between gap-3 text-left"
            onClick={() => onSay(n.code)}
          >
            <span>{n.name}</span>
            <span className="m text-body text-soft">{n.like}</span>
          </button>
        ))}
        <NameField
          label={`What ${u.word} is`}
          names={names}
          value=""
          onType={(v) => names.some((n) => n.code === v) && onSay(v)}
        />
      </div>
    </section>
  );
}

const MOST_FAULTS = 60;

function FaultList({ seen }: { seen: BroughtView }) {
  if (seen.faults.length === 0) return null;
  return (
    <section aria-label="At fault" className="pt-3">
      <h2 className="head border-b-[1.5px] border-ink pb-1">At fault, each with its cell</h2>
      <ul>
        {seen.faults.slice(0, MOST_FAULTS).map((f) => (
          <li key={f.cell + f.message} className="flex gap-3 border-b border-line2 py-1 text-body leading-[18px]">
            <b className="m w-14 shrink-0 text-renew">{f.cell}</b>
            <span className="min-w-0 break-words">{f.message}</span>
          </li>
        ))}
      </ul>
      {seen.faults.length > MOST_FAULTS && (
        <p className="py-1 text-body text-soft">and {seen.faults.length - MOST_FAULTS} more</p>
      )}
    </section>
  );
}

function Changes({ seen }: { seen: BroughtView }) {
  if (seen.changes.length === 0) return null;
  return (
    <section aria-label="What changes" className="pt-3">
      <h2 className="head border-b-[1.5px] border-ink pb-1">What changes</h2>
      <ul>
        {seen.changes.map((c) => (
          <li key={c.key + c.title} className="flex items-baseline gap-3 border-b border-line2 py-1 text-body">
            <b className="font-[680]">{c.key}</b>
            <span className="flex-1">{c.title.toLowerCase()}</span>
            <span className="m text-small">
              {c.from || "nothing"} to <b>{c.to || "nothing"}</b>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
