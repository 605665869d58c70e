import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, Refused } from "../../api/client";
import { GaugeReader } from "../../parts/GaugeField";
import { ReadingField } from "../../parts/ReadingField";
import { rounded } from "../../text/numbers";
import { typedNumber } from "../../text/typedNumber";
import { Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";
import { useMay } from "../../parts/useMay";

/** The hour counter read at the pump and taken in. */
export function CounterReading({ tag }: { tag: string }) {
  const work = useMay("work");
  const queries = useQueryClient();
  const [typed, setTyped, clear] = useDraft(`counter.${tag}`);
  const bring = useMutation({
    mutationFn: async () => {
      const reading = typedNumber(typed.replace(/\s*h$/, ""));
      if (reading == null) throw new Error(`"${typed.trim()}" is not a number.`);
      return api.readCounter(tag, reading);
    },
    onSuccess: () => {
      clear();
      void queries.invalidateQueries({ queryKey: ["pump", tag] });
      void queries.invalidateQueries({ queryKey: ["floor"] });
    },
  });
  const fault =
    bring.error instanceof Refused ? (bring.error.faults[0]?.message ?? bring.error.message) : bring.error?.message;
  return (
    <div className="pt-3">
      <label className="text-small text-muted" htmlFor="counter">
        Hour counter, read at the pump
      </label>
      <div className="flex flex-wrap gap-2 pt-1">
        <ReadingField
          id="counter"
          className="w-[112px]"
          typed={typed}
          onType={setTyped}
          unit="h"
          keeps="Take the counter in"
          keep={() => bring.mutate()}
          busy={!work.may || bring.isPending}
          invalid={fault !== undefined}
        />
        <GaugeReader pump={tag} subject="counter" measure="hours" unit="h" onRead={(text) => setTyped(text)} />
      </div>
      {fault && <Sentence>{fault}</Sentence>}
      {bring.data && !typed && (
        <p className="text-small text-soft" role="status">
          Taken in: {rounded(bring.data.gained, 1)} h more.
        </p>
      )}
    </div>
  );
}
