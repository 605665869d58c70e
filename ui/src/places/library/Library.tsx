import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { Imported, Listed } from "../../api/types";
import { PumpKind } from "../../drawing/PumpKind";
import { FileButton } from "../../parts/FileButton";
import { Failed, Loading, Sentence } from "../../parts/States";
import { FAMILIES } from "./families";

/** The shop's sheets by family, and the ways to bring more in or take them out. */
export default function Library() {
  const sheets = useQuery({ queryKey: ["sheets"], queryFn: api.sheets });
  if (sheets.error && !sheets.data) return <Failed error={sheets.error} what="the library" />;
  if (!sheets.data) return <Loading what="the library" />;
  const families = [...new Set(sheets.data.map((s) => s.family))];
  return (
    <main className="px-5 pt-3 pb-10">
      <div className="flex flex-wrap items-end justify-between gap-4 border-b-[1.5px] border-ink pb-2">
        <div>
          <h1 className="text-head leading-9 font-[680]">Assembly sheets</h1>
          <p className="text-body text-soft">
            One construction, one sheet: parts, steps, torques, checks. A job keeps the revision it began with.
          </p>
        </div>
        <Bring />
      </div>
      <p className="flex gap-5 pt-1">
        <Link className="under" to="/library/materials">
          Materials and fluids
        </Link>
        <Link className="under" to="/library/gauges">
          Gauges
        </Link>
      </p>
      {families.map((f) => (
        <section key={f} aria-label={FAMILIES[f] ?? f}>
          <h2 className="head flex items-center gap-3 border-b border-ink pt-4 pb-1">
            <PumpKind family={f} />
            {FAMILIES[f] ?? f}
          </h2>
          <ul className="grid grid-cols-2 gap-x-8 max-[900px]:grid-cols-1">
            {sheets.data
              .filter((s) => s.family === f)
              .map((s) => (
                <Sheet key={s.id} sheet={s} />
              ))}
          </ul>
        </section>
      ))}
    </main>
  );
}

function Sheet({ sheet: s }: { sheet: Listed }) {
  return (
    <li className="border-b border-line2">
      <Link to={`/library/${s.id}`} className="flex min-h-[52px] items-center gap-4 hover:bg-card">
        <span className="min-w-0 flex-1">
          <b className="block truncate text-lead font-[640]">{s.title}</b>
          <span className="m block truncate text-small text-muted">{s.id}</span>
        </span>
        <span className="text-right text-small whitespace-nowrap text-soft">
          <span className="m block">
            {s.parts} parts, {s.steps} steps, rev {s.revision}
          </span>
          <span className="block text-muted">
            {s.fromManual > 0 ? `${s.fromManual} of ${s.values} values from the manual` : `${s.values} starting values`}
          </span>
        </span>
      </Link>
    </li>
  );
}

/** A zip of sheets in or out, one sheet in. */
function Bring() {
  const cache = useQueryClient();
  const bring = useMutation({
    mutationFn: async (file: File): Promise<Imported[]> => {
      if (file.name.endsWith(".zip")) return api.importSheets(file);
      const stored = await api.storeSheet(await file.text());
      return [{ file: file.name, id: stored.id, revision: stored.revision, faults: [] }];
    },
    onSettled: () => cache.invalidateQueries({ queryKey: ["sheets"] }),
  });
  return (
    <div className="flex flex-col items-end gap-1">
      <div className="flex gap-2.5">
        <a className="press inline-flex items-center" href="/api/v1/sheets.zip" download="sheets.zip">
          Take all out as a zip
        </a>
        <FileButton
          className="press call"
          label="A sheet or a zip of sheets"
          accept=".yaml,.yml,.zip"
          onFile={(file) => bring.mutate(file)}
        >
          Bring sheets in
        </FileButton>
      </div>
      {bring.error && <Sentence>{bring.error.message}</Sentence>}
      {bring.data?.map((i) => (
        <p key={i.file} role="status" className="text-body">
          <b className="font-[640]">{i.file}</b>{" "}
          {i.faults.length === 0
            ? `stored as ${i.id}, revision ${i.revision}`
            : `not stored: ${i.faults.map((f) => `line ${f.line}, ${f.message}`).join("; ")}`}
        </p>
      ))}
    </div>
  );
}
