import { proved } from "../../text/proved";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useCallback, useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api, Refused } from "../../api/client";
import type { Draft } from "../../api/types";
import { Rails } from "../../drawing/Rails";
import { Tab } from "./Tab";
import { clock } from "../../text/numbers";
import { Failed, Loading, Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";

const SheetEditor = lazy(() => import("./SheetEditor"));
const GuidedForm = lazy(() => import("./guided/GuidedForm"));

/** One sheet on the desk: its text, and live beside it the drawing, the plans and what is wrong. */
export default function SheetDesk() {
  const { id = "" } = useParams();
  const source = useQuery({ queryKey: ["sheet", id], queryFn: () => api.sheetSource(id) });
  const schema = useQuery({ queryKey: ["sheet-schema"], queryFn: api.sheetSchema, staleTime: Infinity });
  const error = source.error ?? schema.error;
  if (error) return <Failed error={error} what="this sheet" />;
  if (source.data === undefined || !schema.data) return <Loading what="the sheet" />;
  return <Desk key={id} id={id} stored={source.data} schema={schema.data} />;
}

/** The same sheet as one of the shop's own: another id, first revision. */
function duplicated(text: string, id: string): string {
  return text.replace(/^id:.*$/m, `id: ${id}-own`).replace(/^revision:.*$/m, "revision: 1");
}

/** What a text says in a line of its own. */
function said(text: string, key: string): string | undefined {
  return new RegExp(`^${key}:\\s*(\\S+)`, "m").exec(text)?.[1];
}

function Desk({ id, stored, schema }: { id: string; stored: string; schema: object }) {
  const [kept, keep, forget] = useDraft(`sheet.${id}`);
  const [text, setText] = useState(kept || stored);
  const [restart, setRestart] = useState(0);
  const [draft, setDraft] = useState<Draft | null>(null);
  const [asText, setAsText] = useState(false);
  const cache = useQueryClient();
  const go = useNavigate();
  const revisions = useQuery({ queryKey: ["revisions", id], queryFn: () => api.revisions(id) });
  const check = useCallback(async (now: string) => {
    try {
      const read = await api.draftSheet(now);
      setDraft((last) => (read.faults.length > 0 && last ? { ...last, faults: read.faults } : read));
      return read.faults;
    } catch (e) {
      return e instanceof Refused ? [{ path: "", message: e.message, line: 1 }] : [];
    }
  }, []);
  const change = (now: string) => {
    setText(now);
    keep(now === stored ? "" : now);
  };
  const sound = draft !== null && draft.faults.length === 0;
  // What is known of the stored ones is of the text last looked at, which may have had another id.
  const next = draft !== null && draft.stored > 0 && draft.id === said(text, "id") ? draft.stored + 1 : null;
  const stale = next !== null && Number(said(text, "revision")) < next;
  const renewed = (now: string) => (stale ? now.replace(/^revision:.*$/m, `revision: ${next}`) : now);
  const begin = (now: string) => {
    change(now);
    setRestart(restart + 1);
  };
  const save = useMutation({
    mutationFn: () => api.storeSheet(text),
    onSuccess: async (now) => {
      forget();
      await Promise.all(
        [["sheets"], ["sheet", now.id], ["revisions", now.id]].map((queryKey) => cache.invalidateQueries({ queryKey })),
      );
      if (now.id !== id) void go(`/library/${now.id}`);
    },
  });
  return (
    <main className="flex h-[calc(100vh-49.5px)] min-h-[640px] flex-col">
      <div className="flex flex-wrap items-center gap-3 border-b border-ink px-5 py-2">
        <h1 className="min-w-0 flex-1 truncate text-title font-[680]">
          <Link to="/library" className="pr-3 text-body font-[560] text-muted">
            Library
          </Link>
          {id}
        </h1>
        <Revisions list={revisions.data ?? []} onTake={async (r) => begin(await api.sheetSource(id, r))} />
        <a className="press inline-flex items-center" href={`/api/v1/sheets/${id}`} download={`${id}.yaml`}>
          Take out
        </a>
        <button type="button" className="press" onClick={() => begin(duplicated(text, id))}>
          Duplicate
        </button>
        <button type="button" className="press" disabled={text === stored} onClick={() => begin(stored)}>
          Undo all changes
        </button>
        {stale && asText && (
          <button type="button" className="press" onClick={() => begin(renewed(text))}>
            Make it revision {next}
          </button>
        )}
        <button
          type="button"
          className="press go"
          disabled={!sound || stale || text === stored || save.isPending}
          onClick={() => save.mutate()}
        >
          Keep as revision {draft?.revision ?? ""}
        </button>
      </div>
      {save.error && (
        <div className="px-5">
          <Sentence>{save.error.message}</Sentence>
        </div>
      )}
      <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,44%)_minmax(0,1fr)] max-[1000px]:grid-cols-1 max-[1000px]:overflow-auto">
        <div className="flex min-h-0 flex-col border-r border-ink">
          <div className="flex gap-5 border-b border-line px-5" role="group" aria-label="How the sheet is shown">
            <Tab on={!asText} onPress={() => setAsText(false)}>
              Value by value
            </Tab>
            <Tab on={asText} onPress={() => setAsText(true)}>
              As text, YAML
            </Tab>
          </div>
          <div className="min-h-0 flex-1">
            <Suspense fallback={<Loading what="the editor" />}>
              {asText ? (
                <SheetEditor
                  key={restart}
                  text={text}
                  schema={schema}
                  readOnly={false}
                  onChange={change}
                  check={check}
                />
              ) : (
                <GuidedForm
                  key={restart}
                  text={text}
                  onChange={(now) => change(renewed(now))}
                  check={check}
                  faults={draft?.faults ?? []}
                />
              )}
            </Suspense>
          </div>
        </div>
        <div className="min-h-0 overflow-y-auto">
          {draft ? <Beside draft={draft} /> : <Loading what="its drawing" />}
        </div>
      </div>
    </main>
  );
}

function Revisions({ list, onTake }: { list: { revision: number }[]; onTake: (revision: number) => void }) {
  if (list.length < 2) return null;
  return (
    <span className="flex items-center gap-1" role="group" aria-label="Earlier revisions">
      <span className="text-body text-muted">revisions</span>
      {list.map((r) => (
        <button key={r.revision} type="button" className="press m min-w-12" onClick={() => onTake(r.revision)}>
          {r.revision}
        </button>
      ))}
    </span>
  );
}

/** What the text comes to: its faults, or else its drawing and what its plans take. */
function Beside({ draft }: { draft: Draft }) {
  const [open, setOpen] = useState(0);
  return (
    <div>
      {draft.faults.length > 0 && (
        <div className="border-b border-ink bg-card px-5 py-3" role="status">
          <h2 className="head">
            {draft.faults.length === 1 ? "One thing wrong" : `${draft.faults.length} things wrong`}
          </h2>
          <ul>
            {draft.faults.slice(0, 40).map((f) => (
              <li key={`${f.line}${f.path}${f.message}`} className="flex gap-3 border-t border-line2 py-1 text-body">
                <span className="m w-16 shrink-0 text-muted">line {f.line}</span>
                <span>
                  <b className="m text-small font-semibold">{f.path}</b> {f.message}
                </span>
              </li>
            ))}
          </ul>
          {draft.rails.length > 0 && <p className="pt-1 text-small text-muted">Below: as it last was sound.</p>}
        </div>
      )}
      {draft.rails.map((r) => (
        <Rails key={r.id} rails={[r]} bare natural />
      ))}
      {draft.plans.map((p, i) => (
        <section key={p.title} className="border-b border-line px-5">
          <button
            type="button"
            className="flex min-h-12 w-full items-center gap-4 text-left"
            aria-expanded={open === i}
            onClick={() => setOpen(open === i ? -1 : i)}
          >
            <span className="flex-1 text-lead font-[640]">{p.title}</span>
            <span className="m text-lead font-semibold">{clock(p.minutes)}</span>
            <span className="w-[260px] text-small text-muted">
              {p.strip.length} steps, {p.poseChanges} turns, {p.toolChanges} tools{`, ${proved(p)}`}
            </span>
          </button>
          {open === i && (
            <div className="grid grid-cols-2 gap-6 pb-3 text-body">
              <Steps title="Strip" steps={p.strip} />
              <Steps title="Build" steps={p.build} />
            </div>
          )}
        </section>
      ))}
    </div>
  );
}

function Steps({ title, steps }: { title: string; steps: string[] }) {
  return (
    <div>
      <h3 className="border-b border-ink text-body font-[680]">{title}</h3>
      <ol>
        {steps.map((s, i) => (
          <li key={s} className="flex gap-2 border-b border-line2 py-0.5 leading-[18px]">
            <span className="m w-6 shrink-0 text-muted">{i + 1}</span>
            {s}
          </li>
        ))}
      </ol>
    </div>
  );
}
