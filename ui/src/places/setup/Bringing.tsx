import { useMutation } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { BringProgress } from "../../api/types";
import { rounded } from "../../text/numbers";
import { useProgress } from "./useBringing";

function said(p: BringProgress | undefined, writes: boolean): string {
  if (!p || p.phase === "idle" || p.rows === 0) return "The file is opened";
  const rows = `${rounded(p.done)} of ${rounded(p.rows)} rows`;
  return `${p.table}: ${rows} ${p.phase === "reading" ? "read" : writes ? "written" : "tried out"}`;
}

/** How far tables have come that are being brought, and how it is stopped. */
export function Bringing({ watch, writes }: { watch: string; writes: boolean }) {
  const progress = useProgress(watch);
  const stop = useMutation({ mutationFn: () => api.stopBringing(watch) });
  const share = progress && progress.rows > 0 ? progress.done / progress.rows : 0;
  return (
    <section className="mx-5 my-3 border-t-[1.5px] border-ink pt-3" aria-label="How far it is">
      <div className="flex flex-wrap items-center gap-4">
        <p role="status" className="m min-w-0 flex-1 text-lead font-semibold">
          {said(progress, writes)}
        </p>
        <button type="button" className="press call px-5" disabled={stop.isPending} onClick={() => stop.mutate()}>
          Stop it
        </button>
      </div>
      <div
        role="progressbar"
        aria-label={said(progress, writes)}
        aria-valuemin={0}
        aria-valuemax={100}
        aria-valuenow={Math.round(100 * share)}
        className="mt-2 h-3 border border-ink"
      >
        <div className="h-full bg-ink" style={{ width: `${100 * share}%` }} />
      </div>
      <p className="pt-1.5 text-body text-soft">
        {writes
          ? "All of it is written at the end, or nothing where you stop it."
          : "Nothing is written yet: you see first what it would do."}
      </p>
    </section>
  );
}
