import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { SpareUnit } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { TextInput } from "../../parts/TextInput";
import { useMay } from "../../parts/useMay";
import { rounded } from "../../text/numbers";

interface Props {
  tag: string;
  unit: string;
  /** Pumps of the same construction. */
  alike: string[];
  /** Units of the same construction on the shelf. */
  spares: SpareUnit[];
}

/** Another unit stands here now, from another pump or from the shelf: its parts go along with their age. */
export function AnotherUnit({ tag, unit, alike, spares }: Props) {
  const work = useMay("work");
  const queries = useQueryClient();
  const [other, setOther] = useState("");
  const [place, setPlace] = useState("");
  const [because, setBecause] = useState("");
  const spare = spares.find((s) => s.serial === other);
  const exchange = useMutation({
    mutationFn: () =>
      spare ? api.unitFromShelf(tag, { unit: spare.serial, place, because }) : api.exchange(tag, other, because),
    onSuccess: (view) => {
      queries.setQueryData(["pump", tag], view);
      setOther("");
      setPlace("");
      setBecause("");
      return queries.invalidateQueries();
    },
  });
  if (alike.length + spares.length === 0) return null;
  const faults = faultsOf(exchange.error);
  const unsuited = faults.filter((f) => f.path === "because");
  const say = (of: string) => {
    const s = spares.find((x) => x.serial === of);
    return s ? `${s.serial}, on the shelf${s.place && ` at ${s.place}`}` : `the one at ${of}`;
  };
  return (
    <details className="pt-3">
      <summary className="flex min-h-11 cursor-pointer items-center text-body font-[620]">
        Another unit stands here
      </summary>
      <p className="flex flex-wrap items-center gap-x-1 text-body">
        Instead of {unit || "the unit here"}:
        <Choice
          label="Which unit"
          value={other}
          onChange={(v) => {
            setOther(v);
            exchange.reset();
          }}
          all="which unit"
          of={[...spares.map((s) => s.serial), ...alike]}
          say={say}
        />
      </p>
      {spare && (
        <>
          <p className="text-body">
            {spare.material}, {rounded(spare.hours)} h on it{spare.note && `; ${spare.note}`}
          </p>
          <TextInput
            of="UnitRequest.place"
            className="field mt-2 w-full"
            aria-label={`Where ${unit} is put`}
            placeholder={`Where ${unit} is put`}
            typed={place}
            onType={setPlace}
          />
        </>
      )}
      <p className="pt-1 text-small leading-[17px] text-soft">
        {spare ? `${unit || "The unit here"} comes to the shelf. ` : "The two change places. "}
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
        {spare ? "It is in" : "They changed places"}
      </button>
    </details>
  );
}
