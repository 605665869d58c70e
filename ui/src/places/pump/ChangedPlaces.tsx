import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { TextInput } from "../../parts/TextInput";

interface Props {
  tag: string;
  unit: string;
  /** Pumps of the same construction. */
  alike: string[];
}

/** The unit was swapped with another: what stands in them goes along, with its age. */
export function ChangedPlaces({ tag, unit, alike }: Props) {
  const work = useMay("work");
  const queries = useQueryClient();
  const [other, setOther] = useState("");
  const [because, setBecause] = useState("");
  const exchange = useMutation({
    mutationFn: () => api.exchange(tag, other, because),
    onSuccess: (view) => {
      queries.setQueryData(["pump", tag], view);
      setOther("");
      setBecause("");
      return queries.invalidateQueries();
    },
  });
  if (alike.length === 0) return null;
  const faults = faultsOf(exchange.error);
  const unsuited = faults.filter((f) => f.path === "because");
  return (
    <details className="pt-3">
      <summary className="flex min-h-11 cursor-pointer items-center text-body font-[620]">
        Unit {unit} changed places
      </summary>
      <p className="flex flex-wrap items-center gap-x-1 text-body">
        with the unit at
        <Choice
          label="Where it stands now"
          value={other}
          onChange={(v) => {
            setOther(v);
            exchange.reset();
          }}
          all="which pump"
          of={alike}
        />
      </p>
      <p className="text-small leading-[17px] text-soft">
        Wear parts go along with their hours; counter, duty and interval stay here.
      </p>
      {unsuited.map((f) => (
        <Sentence key={f.message}>{f.message}</Sentence>
      ))}
      {unsuited.length > 0 && (
        <TextInput
          of="ExchangeRequest.because"
          className="field mt-2 w-full"
          aria-label="Why it goes there all the same"
          placeholder="Why it goes there all the same"
          typed={because}
          onType={setBecause}
        />
      )}
      {exchange.error && unsuited.length === 0 && <Sentence>{faults[0]?.message ?? exchange.error.message}</Sentence>}
      <button
        type="button"
        className="press call mt-2 w-full"
        disabled={!work.may || !other || exchange.isPending || (unsuited.length > 0 && !because.trim())}
        onClick={() => exchange.mutate()}
      >
        They changed places
      </button>
    </details>
  );
}
