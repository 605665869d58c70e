import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import { FileButton } from "../../parts/FileButton";
import { Sentence } from "../../parts/States";
import { Storage } from "./Storage";

/** Every run and everything else out, past runs in, everything back. */
export default function History() {
  return (
    <main className="px-5 pb-10">
      <h1 className="pt-3 text-head leading-9 font-[700]">Past runs, in and out</h1>
      <p className="max-w-[760px] pt-1 text-body leading-[21px] text-soft">
        A run is one wear part in one pump: what it was, when it went in and came out, the hours it ran, and whether it
        came out failed or sound. A table may have its own headings and come from anywhere. Nothing is stored before you
        have seen how it was read.
      </p>
      <div className="flex flex-wrap items-center gap-3 pt-4">
        <Link className="press go inline-flex items-center px-6" to="/setup/runs?bring">
          Bring past runs
        </Link>
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
      <PutBack />
      <Storage />
    </main>
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
