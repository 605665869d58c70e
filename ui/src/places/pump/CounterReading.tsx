import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, Refused } from "../../api/client";
import { GaugeReader } from "../../parts/GaugeField";
import { rounded } from "../../parts/numbers";
import { useSettings } from "../../parts/settings";
import { Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";

/** The hour counter read at the pump and taken in, as one line of the counters' table. */
export function CounterReading({ tag }: { tag: string }) {
  const { who } = useSettings();
  const queries = useQueryClient();
  const [typed, setTyped, clear] = useDraft(`counter.${tag}`);
  const reading = typed.replace(/\s*h$/, "").replace(",", ".").trim();
  const bring = useMutation({
    mutationFn: () =>
      api.bringCounters(
        `tag,counter,at,reading\n${tag},hours,${new Date().toISOString().slice(0, 10)},${reading}\n`,
        who,
        false,
      ),
    onSuccess: () => {
      clear();
      void queries.invalidateQueries({ queryKey: ["pump", tag] });
      void queries.invalidateQueries({ queryKey: ["floor"] });
    },
  });
  const fault =
    bring.error instanceof Refused ? (bring.error.faults[0]?.message ?? bring.error.message) : bring.error?.message;
  return (
    <form
      className="pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        bring.mutate();
      }}
    >
      <label className="text-small text-muted" htmlFor="counter">
        Hour counter, read at the pump
      </label>
      <div className="flex flex-wrap gap-2 pt-1">
        <span className="flex">
          <input
            id="counter"
            className="m field w-[112px] text-right"
            inputMode="decimal"
            autoComplete="off"
            value={typed}
            aria-invalid={fault !== undefined}
            onChange={(e) => setTyped(e.target.value)}
          />
          <button
            type="submit"
            className="press call -ml-px h-[50px] px-3"
            aria-label="Take the counter in"
            disabled={!typed.trim() || !who || bring.isPending}
          >
            h
          </button>
        </span>
        <GaugeReader pump={tag} subject="counter" measure="hours" unit="h" onRead={(text) => setTyped(text)} />
      </div>
      {fault && <Sentence>{fault}</Sentence>}
      {bring.data && !typed && (
        <p className="text-small text-soft" role="status">
          Taken in: {bring.data.pumps.map((b) => `${rounded(b.gained, 1)} h more`).join(", ")}.
        </p>
      )}
    </form>
  );
}
