import { useQueryClient } from "@tanstack/react-query";
import { standing } from "../../api/useDrawing";
import type { BenchView, Rail } from "../../api/types";
import { Rails } from "../../drawing/Rails";
import { clock } from "../../text/numbers";

/** The job that lies behind a locked bench: which pump, how far, its drawing. Nothing can be done at it. */
export default function WaitingJob({ id }: { id: string }) {
  const queries = useQueryClient();
  const view = queries.getQueryData<BenchView>(["bench", id]);
  const drawing = queries.getQueriesData<Rail[]>({ queryKey: ["drawing", id] }).at(-1)?.[1];
  if (!view) return null;
  const stage = view.stages.find((s) => s.state === "current");
  const step = view.inHand.stage === "STRIP" || view.inHand.stage === "BUILD" ? view.inHand.step : null;
  return (
    <div inert className="mt-2">
      <div className="flex items-center gap-5 border-t-[1.5px] border-ink px-5 pt-2">
        <span className="tag text-tag leading-[46px]">{view.pump.tag}</span>
        <p className="min-w-0 flex-1 leading-5">
          <b className="block text-lead font-[680]">Waiting behind this: {stage?.title ?? "the job"}</b>
          <span className="block truncate text-body text-soft">{step?.sentence ?? view.pump.duty}</span>
        </p>
        <span className="m text-title font-bold">{clock(view.elapsedMinutes)}</span>
      </div>
      {drawing && <Rails rails={standing(drawing, view.parts)} bare />}
    </div>
  );
}
