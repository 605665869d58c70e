import { Storage } from "./Storage";
import { counted } from "../../text/counted";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { HistoryReport } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Mark } from "../../parts/Mark";
import { rounded } from "../../text/numbers";
import { Faults } from "../../parts/BringTable";
import { FileButton } from "../../parts/FileButton";
import { Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { isMonthFirst } from "../../text/shownIn";

interface Held {
  name: string;
  csv: string;
  columns: Record<string, string>;
  failedWords: string[];
  monthFirst: boolean;
}

/** Past runs in from any table, and every run out. */
export default function History() {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [held, setHeld] = useState<Held | null>(null);
  const look = useMutation({
    mutationFn: (h: Held) => api.bringHistory({ ...h, dryRun: true }),
    onMutate: (h) => setHeld(h),
  });
  const bring = useMutation({
    mutationFn: (h: Held) => api.bringHistory({ ...h, dryRun: false }),
    onSuccess: () => cache.invalidateQueries(),
  });
  const report = look.data;
  const change = (more: Partial<Held>) => {
    bring.reset();
    if (held) look.mutate({ ...held, ...more });
  };
  return (
    <main className="px-5 pb-10">
      <h1 className="pt-3 text-head leading-9 font-[700]">Past runs, in and out</h1>
      <p className="max-w-[760px] pt-1 text-body leading-[21px] text-soft">
        A run is one wear part in one pump: what it was, when it went in and came out, the hours it ran, and whether it
        came out failed or sound. A table may have its own headings and come from anywhere. Nothing is stored before you
        have seen how it was read.
      </p>
      <div className="flex flex-wrap items-center gap-3 pt-4">
        <FileButton
          className="press go px-6"
          label="Past runs as CSV"
          accept=".csv,.txt,.tsv,text/csv"
          disabled={!lead.may}
          title={lead.why}
          onFile={async (file) => {
            bring.reset();
            look.mutate({
              name: file.name,
              csv: await file.text(),
              columns: {},
              failedWords: [],
              monthFirst: isMonthFirst(),
            });
          }}
        >
          {held ? "Choose another table" : "Choose a table"}
        </FileButton>
        <span className="flex-1" />
        <a className="press flex items-center" href="/api/v1/history.csv" download="runs.csv">
          Every run as CSV
        </a>
        <a className="press flex items-center" href="/api/v1/history.json" download="runs.json">
          as JSON
        </a>
        <a className="press flex items-center" href="/api/v1/everything.zip" download="everything.zip">
          Everything, tables zipped
        </a>
        <a className="press flex items-center" href="/api/v1/everything.json" download="everything.json">
          as JSON
        </a>
      </div>
      {!held && (
        <>
          <PutBack />
          <Storage />
          <Fields />
        </>
      )}
      {look.error && <Sentence>{look.error.message}</Sentence>}
      {held && report && (
        <Read held={held} report={report} change={change} busy={look.isPending || bring.isPending}>
          <Verdict report={report} />
          {bring.error && <Faults error={bring.error} />}
          {bring.data ? (
            <p role="status" className="pt-3 text-lead font-[660]">
              Taken in: {counted(bring.data.fresh, "run")}. <Link to="/life">See what they say</Link>
            </p>
          ) : (
            <button
              type="button"
              className="press go mt-3 h-14 px-8 text-lead"
              disabled={report.faults.length > 0 || report.fresh === 0 || bring.isPending}
              onClick={() => bring.mutate(held)}
            >
              Take in {rounded(report.fresh)} runs
            </button>
          )}
        </Read>
      )}
    </main>
  );
}

/** What a table may have in it, so that nobody has to guess before bringing one. */
function Fields() {
  const fields = useQuery({ queryKey: ["history-fields"], queryFn: api.historyFields, staleTime: Infinity });
  return (
    <section aria-label="Columns a table may have" className="pt-6">
      <h2 className="head border-b-[1.5px] border-ink pb-1">Columns a table may have</h2>
      <ul className="columns-2 gap-10 max-[860px]:columns-1">
        {fields.data?.map((f) => (
          <li
            key={f.field}
            className="flex min-h-9 break-inside-avoid items-baseline gap-4 border-b border-line2 py-1.5"
          >
            <span className="m w-28 shrink-0 text-small font-semibold">{f.field}</span>
            <span className="text-body leading-[18px]">
              {f.say}
              {f.alsoCalled.length > 0 && (
                <span className="block text-small text-muted">also: {f.alsoCalled.join(", ")}</span>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Puts everything a shop gave out back, into one that has no pumps yet. */
function PutBack() {
  const cache = useQueryClient();
  const floor = useQuery({ queryKey: ["floor"], queryFn: api.floor });
  const restore = useMutation({
    mutationFn: (f: File) => api.restore(f),
    onSuccess: () => cache.invalidateQueries(),
  });
  if (restore.isSuccess) {
    return (
      <p role="status" className="pt-4 text-lead font-[660]">
        Everything is back. <Link to="/">To the floor</Link>
      </p>
    );
  }
  if (!floor.data || floor.data.areas.length > 0) return null;
  return (
    <div className="flex flex-wrap items-center gap-4 pt-4">
      <FileButton
        className="press call px-6"
        label="Everything as JSON"
        accept=".json,application/json"
        disabled={restore.isPending}
        onFile={(file) => restore.mutate(file)}
      >
        Put everything back
      </FileButton>
      <span className="text-body text-soft">from a file that was taken out with "Everything, as JSON"</span>
      {restore.error && <Sentence>{restore.error.message}</Sentence>}
    </div>
  );
}

interface ReadProps {
  held: Held;
  report: HistoryReport;
  change: (more: Partial<Held>) => void;
  busy: boolean;
  children: React.ReactNode;
}

/** How the table was read: which heading fills what, the first lines, and what is wrong. */
function Read({ held, report, change, busy, children }: ReadProps) {
  const headings = report.columns.map((c) => c.name);
  const left = report.columns.filter((c) => !c.taken);
  return (
    <div
      className={`grid grid-cols-[420px_minmax(0,1fr)] gap-8 pt-5 max-[1000px]:grid-cols-1 ${busy ? "opacity-60" : ""}`}
    >
      <section aria-label="Columns">
        <h2 className="head border-b-[1.5px] border-ink pb-1">{held.name}: which column is what</h2>
        <ul>
          {report.fields.map((f) => (
            <li key={f.field} className="flex min-h-12 items-center justify-between gap-3 border-b border-line2">
              <span className="min-w-0">
                <b className={`text-body ${f.column ? "font-[660]" : "font-[500] text-muted"}`}>
                  {f.field.replaceAll("_", " ")}
                </b>
                <span className="block truncate text-small text-muted">{f.say}</span>
              </span>
              <Choice
                label={`Column of ${f.field}`}
                value={f.column}
                onChange={(column) => change({ columns: { ...held.columns, [f.field]: column } })}
                all="none"
                of={headings}
              />
            </li>
          ))}
        </ul>
        {left.length > 0 && (
          <p className="pt-2 text-body text-soft">
            Left out: {left.map((c) => c.name).join(", ")}. One of them can be kept as the note.
          </p>
        )}
      </section>
      <section aria-label="How it was read" className="min-w-0">
        <div className="flex flex-wrap items-center gap-x-2 border-b-[1.5px] border-ink text-body">
          <h2 className="head flex-1">How it was read</h2>
          <span className="text-muted">03/01/2026 is</span>
          <Choice
            label="Days are written"
            value={held.monthFirst ? "m" : ""}
            onChange={(v) => change({ monthFirst: v === "m" })}
            all="3 January"
            of={["m"]}
            say={() => "1 March"}
          />
        </div>
        {(report.otherOutcomes.length > 0 || held.failedWords.length > 0) && (
          <Outcomes held={held} report={report} change={change} />
        )}
        <FirstRuns report={report} />
        {children}
      </section>
    </div>
  );
}

function Outcomes({ held, report, change }: Pick<ReadProps, "held" | "report" | "change">) {
  const words = [...new Set([...held.failedWords, ...report.otherOutcomes])];
  return (
    <div className="border-b border-line bg-wash px-3 py-2 text-body">
      <p className="font-[640]">Which of these mean that it failed?</p>
      <div className="flex flex-wrap gap-2 pt-1.5">
        {words.map((w) => (
          <button
            key={w}
            type="button"
            aria-pressed={held.failedWords.includes(w)}
            className={`press px-3 ${held.failedWords.includes(w) ? "call" : ""}`}
            onClick={() =>
              change({
                failedWords: held.failedWords.includes(w)
                  ? held.failedWords.filter((x) => x !== w)
                  : [...held.failedWords, w],
              })
            }
          >
            {w || "nothing written"}
          </button>
        ))}
      </div>
    </div>
  );
}

function FirstRuns({ report }: { report: HistoryReport }) {
  if (report.first.length === 0) return null;
  return (
    <table className="w-full text-left text-body">
      <thead className="text-small text-muted">
        <tr>
          {["Line", "Pump", "Part", "Material", "In", "Out", "Hours", ""].map((h, i) => (
            <th key={i} className={`border-b border-line py-1 font-medium ${h === "Hours" ? "pr-4 text-right" : ""}`}>
              {h}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {report.first.map((r) => (
          <tr key={r.line} className="border-b border-line2">
            <td className="m py-1.5 text-muted">{r.line}</td>
            <td className="font-[680]">{r.tag}</td>
            <td>{r.role}</td>
            <td>{r.material}</td>
            <td className="m">{r.fitted}</td>
            <td className="m">{r.ended || "runs"}</td>
            <td className="m pr-4 text-right">{rounded(r.hours)}</td>
            <td className="whitespace-nowrap">
              <span className="inline-flex items-center gap-1.5">
                <Mark
                  state={r.outcome === "failed" ? "renew" : r.outcome === "running" ? "unknown" : "sound"}
                  size={13}
                />
                {r.outcome}
              </span>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const MOST = 14;

function Verdict({ report: r }: { report: HistoryReport }) {
  return (
    <div role="status" className="pt-3">
      <p className="text-lead font-[660]">
        {counted(r.lines, "line")}: {counted(r.fresh, "new run")} of {counted(r.pumps, "pump")}, {r.failed} of them
        failed; {rounded(r.known)} known already.
      </p>
      {r.faults.length > 0 && (
        <>
          <p className="pt-2 font-[640] text-renew">
            {counted(r.faults.length, "fault")}: nothing is taken in until none is left.
          </p>
          <ul className="text-body leading-5">
            {r.faults.slice(0, MOST).map((f, i) => (
              <li key={i}>
                <b className="m font-semibold">line {f.line}</b> {f.message}
              </li>
            ))}
            {r.faults.length > MOST && <li>and {r.faults.length - MOST} more</li>}
          </ul>
        </>
      )}
    </div>
  );
}
