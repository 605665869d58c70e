import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import type { StoresView } from "../../api/types";
import { Faults } from "../../parts/BringTable";
import { Choice } from "../../parts/Choice";
import { NumberInput } from "../../parts/ReadingField";
import { TextInput } from "../../parts/TextInput";
import { useMay } from "../../parts/useMay";
import { isNumber, takes, type NumberBound, type TextBound } from "../../text/bounds";
import { currency, MONEY } from "../../text/shop";

/** Name of a field, what stands over it, an example, the field of the request that takes it. */
export type ArrivedField<K extends string> = readonly [K, string, string, TextBound | NumberBound];

interface Props<K extends string> {
  label: string;
  all: string;
  of: string[];
  say: (kind: string) => string;
  fields: readonly ArrivedField<K>[];
  receive: (kind: string, typed: Record<K, string>) => Promise<StoresView>;
  onDone: () => void;
}

/** Something that came in: which of the kinds it is, and what its label says. */
export function Arrived<K extends string>({ label, all, of, say, fields, receive, onDone }: Props<K | "lot">) {
  const stock = useMay("stock");
  const cache = useQueryClient();
  const [kind, setKind] = useState("");
  const [typed, setTyped] = useState(
    () => Object.fromEntries(fields.map(([name]) => [name, ""])) as Record<K | "lot", string>,
  );
  const outside = fields.some(([name, , , of]) => isNumber(of) && takes(of, typed[name]) !== "");
  const arrive = useMutation({
    mutationFn: () => receive(kind, typed),
    onSuccess: (now) => {
      cache.setQueryData(["stores"], now);
      onDone();
    },
  });
  return (
    <form
      className="border-b border-line bg-card px-5 py-3"
      onSubmit={(e) => {
        e.preventDefault();
        arrive.mutate();
      }}
    >
      <Choice label={label} value={kind} onChange={setKind} all={all} of={of} say={say} />
      <div className="flex flex-wrap items-end gap-2">
        {fields.map(([name, above, hint, of]) => (
          <label key={name} className="text-small text-muted">
            {above.replace(MONEY, currency())}
            {isNumber(of) ? (
              <NumberInput
                of={of}
                className="block w-36 text-ink"
                placeholder={hint}
                typed={typed[name]}
                onType={(words) => setTyped((now) => ({ ...now, [name]: words }))}
              />
            ) : (
              <TextInput
                of={of}
                className="field m block w-36 text-ink"
                placeholder={hint}
                typed={typed[name]}
                onType={(words) => setTyped((now) => ({ ...now, [name]: words }))}
              />
            )}
          </label>
        ))}
        <button className="press go px-5" disabled={!stock.may || !kind || !typed.lot || outside || arrive.isPending}>
          On the shelf
        </button>
      </div>
      {arrive.error && <Faults error={arrive.error} />}
    </form>
  );
}
