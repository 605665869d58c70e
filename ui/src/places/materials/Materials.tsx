import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import { BringTable } from "../../parts/BringTable";
import { rounded } from "../../text/numbers";
import { Failed, Loading } from "../../parts/States";

const TABLES: [string, string][] = [
  ["resistance", "Resistance"],
  ["fluids", "Fluids"],
  ["materials", "Materials"],
  ["base-life", "Base lives"],
];

/** Every fluid and material the library knows, and the tables in and out. */
export default function Materials() {
  const library = useQuery({ queryKey: ["materials"], queryFn: api.materials });
  const [wanted, setWanted] = useState("");
  if (library.error && !library.data) return <Failed error={library.error} what="the materials" />;
  if (!library.data) return <Loading what="the materials" />;
  const { fluids, materials, rows, ownRows } = library.data;
  const most = Math.max(...fluids.map((f) => f.materials));
  const words = wanted.trim().toLowerCase();
  const found = fluids
    .filter((f) => [f.name, f.code, ...f.aliases].some((w) => w.toLowerCase().includes(words)))
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <main className="px-5 pt-3 pb-10">
      <div className="flex flex-wrap items-end justify-between gap-4 border-b-[1.5px] border-ink pb-2">
        <div>
          <h1 className="text-head leading-9 font-[680]">Materials and fluids</h1>
          <p className="max-w-[640px] text-body leading-[19px] text-soft">
            {fluids.length} fluids, {materials.length} materials, {rounded(rows)} rows, {rounded(ownRows)} of them this
            shop's own. Shipped rows are starting values of general knowledge: check with the maker of the part. No row
            is unknown, never a guess.
          </p>
        </div>
        <span className="flex gap-5">
          <a className="under" href="/api/v1/materials/book.pdf" target="_blank" rel="noreferrer">
            All of it on paper
          </a>
          <Link className="under" to="/library">
            Assembly sheets
          </Link>
        </span>
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_360px] gap-x-10 max-[1000px]:grid-cols-1">
        <section aria-label="Fluids">
          <label className="flex items-center gap-3 pt-3 pb-2 text-body">
            <span className="head">Fluids</span>
            <input
              className="field w-full max-w-[340px]"
              placeholder="Name, formula or another word for it"
              value={wanted}
              onChange={(e) => setWanted(e.target.value)}
            />
          </label>
          <ul className="grid grid-cols-2 gap-x-8 border-t border-ink max-[760px]:grid-cols-1">
            {found.map((f) => (
              <li key={f.code} className="border-b border-line2">
                <Link
                  to={`/library/materials/${f.code}`}
                  className="flex min-h-12 items-center justify-between gap-3 hover:bg-card"
                >
                  <span className="min-w-0">
                    <b className="block truncate text-lead font-[640]">{f.name}</b>
                    <span className="block truncate text-small text-muted">{f.aliases.join(", ")}</span>
                  </span>
                  {f.materials < most && (
                    <span className="text-small whitespace-nowrap text-soft">{most - f.materials} not known</span>
                  )}
                </Link>
              </li>
            ))}
          </ul>
          {found.length === 0 && (
            <p className="py-4 text-lead text-soft">
              No fluid is called that. A shop's own fluid comes in with the table of fluids.
            </p>
          )}
        </section>
        <section aria-label="Tables in and out" className="pt-3">
          <h2 className="head pb-2">Tables in and out</h2>
          <ul className="border-t border-ink">
            {TABLES.map(([table, name]) => (
              <Table key={table} table={table} name={name} />
            ))}
          </ul>
          <p className="pt-2 text-small leading-[17px] text-muted">
            CSV with the headings of the table that goes out. What comes in stands over the shipped rows, all of it or
            nothing; both stay to be seen.
          </p>
        </section>
      </div>
    </main>
  );
}

/** One table: out whole or only what is the shop's own, and in. */
function Table({ table, name }: { table: string; name: string }) {
  return (
    <li className="flex flex-wrap items-center gap-x-4 border-b border-line2 py-1.5 text-body">
      <b className="w-[92px] font-[640]">{name}</b>
      <a className="under" href={api.tableUrl(table, false)} download={`${table}.csv`}>
        all out
      </a>
      <a className="under" href={api.tableUrl(table, true)} download={`own-${table}.csv`}>
        own out
      </a>
      <BringTable
        label={name}
        send={(csv, dryRun) => api.bringTable(table, csv, dryRun)}
        changes={(r) => r.added + r.replaced > 0}
        say={(r) => `${r.added} new, ${r.replaced} over others, ${r.unchanged} as they are`}
      />
    </li>
  );
}
