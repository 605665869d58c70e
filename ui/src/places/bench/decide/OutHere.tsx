import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api } from "../../../api/client";
import type { BenchView, OutView } from "../../../api/types";
import { Sentence } from "../../../parts/States";
import { useMay } from "../../../parts/useMay";

/** Pieces that came to this bench and do not go in: they go back, or are missed on the shelf. */
export function OutHere({ view, out }: { view: BenchView; out: OutView[] }) {
  const take = useMay("take");
  const queries = useQueryClient();
  const back = useMutation({
    mutationFn: (lot: string) => api.shelfAct("return", { lot, rebuild: view.id }),
    onSuccess: (stores) => {
      queries.setQueryData(["stores"], stores);
      return Promise.all([
        queries.invalidateQueries({ queryKey: ["bench", String(view.id)] }),
        queries.invalidateQueries({ queryKey: ["wet-ends", view.pump.tag] }),
      ]);
    },
  });
  const unused = out.filter((o) => !o.fitted);
  if (unused.length === 0) return null;
  return (
    <section aria-label="Out at this bench, not going in" className="py-2">
      {unused.map((o) => (
        <div key={o.lot} className="flex items-center gap-3 border-y border-line2 py-1 text-body">
          <span className="min-w-0 flex-1">
            <b className="m font-[660]">{o.lot}</b> {o.title} {o.material} came to this bench and does not go in.
          </span>
          <button
            type="button"
            className="press call px-3"
            disabled={!take.may || back.isPending}
            onClick={() => back.mutate(o.lot)}
          >
            Back to {o.place || "the shelf"}
          </button>
        </div>
      ))}
      {back.error && <Sentence>{back.error.message}</Sentence>}
    </section>
  );
}
