import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { api, Refused } from "../../api/client";
import type { ChooserView, DutyForm } from "../../api/types";
import { useBench } from "../../api/useBench";
import { rounded } from "../../text/numbers";
import { Empty, Failed, Loading, Sentence } from "../../parts/States";
import { fitKit } from "../../kits/fitKit";
import { BLANK } from "./blankDuty";
import { Chooser } from "./Chooser";
import { Kits } from "../../kits/Kits";
import type { Beside } from "../../kits/Kits";
import { useChoice } from "./useChoice";
import { useMay } from "../../parts/useMay";

/** Which wet end stands this pump's duty, or another that is tried on it. */
export default function WetEnds() {
  const { tag = "" } = useParams();
  return <OfPump key={tag} tag={tag} />;
}

function OfPump({ tag }: { tag: string }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [trial, setTrial] = useState<DutyForm | null>(null);
  const pump = useQuery({ queryKey: ["pump", tag], queryFn: () => api.pump(tag) });
  const question = { tag, ...(trial ? { duty: trial } : {}) };
  const choice = useChoice(question);
  const save = useMutation({
    mutationFn: ({ duty, alwaysSo }: { duty: DutyForm; alwaysSo: boolean }) => api.changeDuty(tag, duty, alwaysSo),
    onSuccess: async () => {
      setTrial(null);
      await Promise.all(["choice", "wet-ends", "pump", "floor"].map((k) => cache.invalidateQueries({ queryKey: [k] })));
    },
  });
  if (choice.error instanceof Refused && choice.error.status === 400 && !choice.data && !trial) {
    return (
      <Empty title={`Nobody wrote down what ${tag} pumps`}>
        <p>A wet end is chosen for a duty: its fluids with strength, temperature and share of time.</p>
        <button type="button" className="press go mt-4" onClick={() => setTrial(BLANK)}>
          Begin with water and write it down
        </button>
      </Empty>
    );
  }
  if (choice.error && !choice.data) return <Failed error={choice.error} what="the wet ends" />;
  if (pump.error) return <Failed error={pump.error} what="the pump" />;
  if (!choice.data || !pump.data) return <Loading what="the library" />;
  const chooser = choice.data;
  const strip = pump.data.strip;
  return (
    <Chooser
      chooser={chooser}
      question={question}
      duty={trial ?? chooser.duty}
      onDuty={setTrial}
      error={save.error ?? (choice.isError ? choice.error : null)}
      title={
        <>
          <h1 className="tag text-tag leading-[46px]">{chooser.tag}</h1>
          <div className="min-w-0 flex-1 leading-5">
            <p className="text-lead font-[600]">What goes in this time</p>
            <p className="truncate text-body text-muted">
              {chooser.title}. {chooser.fittedNow} in it, {rounded(strip.hours)} h. Body {chooser.bodyMaterial}.
            </p>
          </div>
        </>
      }
      trial={
        trial && (
          <>
            <span className="flex-1 text-body font-[620]">Tried only: this is not the duty of {tag}.</span>
            <button type="button" className="press" onClick={() => setTrial(null)}>
              Back to its duty
            </button>
            <button
              type="button"
              className="press"
              disabled={!lead.may || save.isPending || choice.isError}
              title={lead.why || "What stood there was wrong: all runs of the pump count by this duty."}
              onClick={() => save.mutate({ duty: trial, alwaysSo: true })}
            >
              It was always so
            </button>
            <button
              type="button"
              className="press call"
              disabled={!lead.may || save.isPending || choice.isError}
              title={lead.why || "What ran before counts by the duty of its time."}
              onClick={() => save.mutate({ duty: trial, alwaysSo: false })}
            >
              {lead.why || "Its duty from today on"}
            </button>
          </>
        )
      }
      kits={(beside) =>
        strip.rebuild === null || trial ? (
          <Kits chooser={chooser} beside={beside} />
        ) : (
          <KitsForRebuild chooser={chooser} rebuild={strip.rebuild} beside={beside} />
        )
      }
    />
  );
}

/** Kits of a pump that stands on the bench: while it is in Decide, one can be fitted from here. */
function KitsForRebuild({ chooser, rebuild, beside }: { chooser: ChooserView; rebuild: number; beside: Beside }) {
  const link = useBench(String(rebuild));
  const now = link.view?.inHand;
  if (now?.stage !== "DECIDE") return <Kits chooser={chooser} beside={beside} />;
  return (
    <div>
      {link.faults.map((f) => (
        <div key={f.message} className="border-l-[1.5px] border-ink px-5">
          <Sentence>{f.message}</Sentence>
        </div>
      ))}
      <Kits
        chooser={chooser}
        beside={beside}
        fitted={now.decide.parts.flatMap((p) => p.lot ?? [])}
        busy={link.busy}
        draftKey={String(rebuild)}
        onFit={async (id, inspected) => {
          const lot = now.decide.lots.find((l) => l.id === id);
          if (lot) await fitKit(link, lot, inspected);
        }}
      />
    </div>
  );
}
