import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import type { ChoiceQuestion } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Failed, Loading } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";
import { FAMILIES } from "../library/families";
import { BLANK } from "./blankDuty";
import { Chooser } from "./Chooser";
import { Kits } from "../../kits/Kits";
import { useChoice } from "./useChoice";

const FIRST: ChoiceQuestion = { sheet: "aodd-bolted-plastic-25", body: "PP", duty: BLANK };

/** A duty that belongs to no pump here: typed in, kept on this device. */
export default function TypedDuty() {
  const [kept, keep] = useDraft("typed-duty");
  const question = kept ? (JSON.parse(kept) as ChoiceQuestion) : FIRST;
  const set = (change: Partial<ChoiceQuestion>) => keep(JSON.stringify({ ...question, ...change }));
  const sheets = useQuery({ queryKey: ["sheets"], queryFn: api.sheets });
  const library = useQuery({ queryKey: ["materials"], queryFn: api.materials });
  const choice = useChoice(question);
  if (choice.error && !choice.data) return <Failed error={choice.error} what="the wet ends" />;
  if (!choice.data || !sheets.data || !library.data) return <Loading what="the library" />;
  const chooser = choice.data;
  const named = new Map(sheets.data.map((s) => [s.id, s.title]));
  const bodies = library.data.materials.filter((m) => m.roles.includes("body")).map((m) => m.code);
  const kinds = [...Object.keys(FAMILIES), ...named.keys()];
  return (
    <Chooser
      chooser={chooser}
      question={question}
      duty={question.duty ?? BLANK}
      onDuty={(duty) => set({ duty })}
      error={choice.isError ? choice.error : null}
      title={
        <>
          <h1 className="text-head leading-9 font-[680]">A duty typed in</h1>
          <div className="flex min-w-0 flex-1 flex-wrap items-center gap-x-1 text-body">
            For
            <Choice
              label="Construction"
              value={question.sheet ? question.sheet : (question.family ?? "")}
              all="choose"
              of={kinds}
              say={(k) => named.get(k) ?? FAMILIES[k] ?? k}
              then=","
              onChange={(k) => k && set(k in FAMILIES ? { family: k, sheet: "" } : { sheet: k, family: "" })}
            />
            body
            <Choice
              label="Body"
              value={question.body ?? ""}
              all="not known"
              of={bodies}
              onChange={(body) => set({ body })}
            />
          </div>
        </>
      }
      trial={null}
      kits={(beside) => <Kits chooser={chooser} beside={beside} />}
    />
  );
}
