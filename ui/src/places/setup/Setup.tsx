import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { SetupTableInShort, SetupView } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { Failed, Loading, Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { AlreadyRuns } from "./AlreadyRuns";
import { ShopFilling } from "./ShopFilling";
import { ShopSaid } from "./ShopSaid";

/** What a shop is made of: what it says of itself, what is still needed, every table of it. */
export default function Setup() {
  const setup = useQuery({ queryKey: ["setup"], queryFn: api.setup });
  if (setup.isError) return <Failed error={setup.error} what="the set-up" />;
  if (!setup.data) return <Loading what="the set-up" />;
  const needed = setup.data.tables.filter((t) => t.rows === 0);
  const there = setup.data.tables.filter((t) => t.rows > 0);
  return (
    <main className="flex flex-1 flex-col">
      <ShopSaid />
      <ShopFilling tables={setup.data.tables} />
      <div className="grid flex-1 grid-cols-[minmax(0,1fr)_340px] border-t-[1.5px] border-ink max-[1000px]:grid-cols-1">
        <div className="px-5 pb-8">
          {needed.length > 0 && (
            <section aria-label="Still needed" className="pt-4">
              <h2 className="flex flex-wrap items-baseline gap-x-4 border-b-[1.5px] border-ink pb-1">
                <span className="text-title font-[680]">Still needed</span>
                <span className="flex-1 text-body text-soft">in any order; each line does one thing at once</span>
                <Link className="under text-body" to="/setup/workbook">
                  or all of it in one workbook
                </Link>
              </h2>
              <ul>
                {needed.map((t) => (
                  <Needed key={t.table} table={t} />
                ))}
              </ul>
            </section>
          )}
          {there.length > 0 && (
            <section aria-label="In place" className="pt-4">
              <h2 className="border-b-[1.5px] border-ink pb-1 text-title font-[680]">In place</h2>
              <ul className="grid grid-cols-2 gap-x-8 max-[760px]:grid-cols-1">
                {there.map((t) => (
                  <li key={t.table} className="border-b border-line">
                    <Link to={`/setup/${t.table}`} className="flex min-h-12 items-center gap-3 text-lead">
                      <Mark state="sound" size={13} />
                      <span className="flex-1 font-[640]">{t.title}</span>
                      <span className="m text-lead font-semibold">{t.rows}</span>
                      {t.retired > 0 && <span className="text-body text-muted">{t.retired} retired</span>}
                    </Link>
                  </li>
                ))}
              </ul>
            </section>
          )}
        </div>
        <aside className="border-l-[1.5px] border-ink bg-card px-5 pt-4 pb-8 max-[1000px]:border-t-[1.5px] max-[1000px]:border-l-0">
          {needed.length > 0 && <AlreadyRuns tables={setup.data.tables} />}
          <LastChange setup={setup.data} />
          <OneWorkbook />
          <h2 className="head border-b-[1.5px] border-ink pt-5 pb-1">Besides</h2>
          <Beside to="/people" title="People" says="PINs and badges" />
          <Beside to="/life/history" title="Everything" says="taken out, kept, put back" />
          <Beside to="/library" title="Sheets" says="how your pumps are built" />
        </aside>
      </div>
    </main>
  );
}

/** Every table in one file, out and in. */
function OneWorkbook() {
  return (
    <section aria-label="One workbook" className="pt-5">
      <h2 className="head border-b-[1.5px] border-ink pb-1">One workbook</h2>
      <p className="py-2 text-body text-soft">
        Every table a sheet of one XLSX: fill in what you have, bring it at once.
      </p>
      <div className="flex flex-wrap gap-2">
        <Link className="press call inline-flex flex-1 items-center justify-center px-4" to="/setup/workbook">
          Bring it
        </Link>
        <a className="press inline-flex items-center px-4" href={api.workbookFile(true)}>
          Template
        </a>
        <a className="press inline-flex items-center px-4" href={api.workbookFile()}>
          Take it out
        </a>
      </div>
    </section>
  );
}

function Beside({ to, title, says }: { to: string; title: string; says: string }) {
  return (
    <Link to={to} className="flex min-h-12 items-center justify-between gap-3 border-b border-line">
      <span className="text-lead font-[640]">{title}</span>
      <span className="text-right text-body text-soft">{says}</span>
    </Link>
  );
}

function Needed({ table: t }: { table: SetupTableInShort }) {
  return (
    <li className="grid grid-cols-[20px_minmax(120px,200px)_minmax(0,1fr)_auto] items-center gap-x-4 border-b border-line py-1.5 max-[760px]:grid-cols-[20px_minmax(0,1fr)]">
      <Mark state="unknown" size={13} />
      <b className="text-lead font-[680]">{t.title}</b>
      <span className="text-body text-soft max-[760px]:col-start-2">{t.needs}</span>
      <span className="flex gap-2 max-[760px]:col-start-2">
        <Link className="press call inline-flex items-center px-4" to={`/setup/${t.table}?bring`}>
          Bring a table
        </Link>
        <Link className="press inline-flex items-center px-4" to={`/setup/${t.table}?add`}>
          Add one
        </Link>
      </span>
    </li>
  );
}

/** The last change, with who and when, and how it is taken back. */
export function LastChange({ setup }: { setup: SetupView }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const undo = useMutation({
    mutationFn: (batch: string) => api.undoSetup(batch),
    onSuccess: () => cache.invalidateQueries(),
  });
  const last = setup.last;
  return (
    <section aria-label="Last change">
      <h2 className="head flex justify-between border-b-[1.5px] border-ink pb-1">
        Last change
        {last && (
          <span className="text-body font-normal text-soft">
            <b className="text-ink">{last.who}</b> {last.at}
          </span>
        )}
      </h2>
      {!last && (
        <p className="py-2 text-body text-soft">Nothing was changed yet. Each change is kept with who and when.</p>
      )}
      {last && (
        <>
          <p className="py-2 text-lead leading-6">{last.what}</p>
          <button
            type="button"
            className="press call w-full"
            disabled={!lead.may || undo.isPending}
            title={lead.why}
            onClick={() => undo.mutate(last.batch)}
          >
            Take it back
          </button>
        </>
      )}
      {undo.error && <Sentence>{undo.error.message}</Sentence>}
    </section>
  );
}
