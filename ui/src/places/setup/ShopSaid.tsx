import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import type { ShopForm } from "../../api/types";
import { faultAt, faultsOf } from "../../parts/faults";
import { Sentence } from "../../parts/States";
import { useMay } from "../../parts/useMay";
import { rounded } from "../../text/numbers";
import { typedNumber } from "../../text/typedNumber";

type Typed = Record<keyof ShopForm, string>;

const typed = (shop: ShopForm): Typed => ({
  name: shop.name ?? "",
  labourPerHour: rounded(shop.labourPerHour ?? 0, 2),
  overtimePerHour: rounded(shop.overtimePerHour ?? 0, 2),
});

/** What the shop says of itself, in a sentence whose words are typed over. */
export function ShopSaid() {
  const shop = useQuery({ queryKey: ["shop"], queryFn: api.shop });
  return shop.data ? <Said key={JSON.stringify(shop.data)} shop={shop.data} /> : null;
}

function Said({ shop }: { shop: ShopForm }) {
  const lead = useMay("lead");
  const cache = useQueryClient();
  const [now, setNow] = useState(() => typed(shop));
  const say = useMutation({
    mutationFn: () =>
      api.sayShop({
        name: now.name,
        labourPerHour: typedNumber(now.labourPerHour) ?? 0,
        overtimePerHour: typedNumber(now.overtimePerHour) ?? 0,
      }),
    onSuccess: () => cache.invalidateQueries(),
  });
  const faults = faultsOf(say.error);
  const same = JSON.stringify(now) === JSON.stringify(typed(shop));
  const word = (field: keyof Typed, label: string, least: number) => (
    <input
      aria-label={label}
      aria-invalid={faultAt(faults, field) !== undefined}
      className="border-b-[1.5px] border-ink bg-transparent px-1 text-center font-[720] disabled:border-line"
      style={{ width: `${Math.max(least, now[field].length) + 1}ch` }}
      disabled={!lead.may}
      value={now[field]}
      placeholder={field === "name" ? "the shop's name" : ""}
      onChange={(e) => setNow({ ...now, [field]: e.target.value })}
    />
  );
  return (
    <form
      className="px-5 pt-3 pb-4"
      aria-label="The shop"
      onSubmit={(e) => {
        e.preventDefault();
        say.mutate();
      }}
    >
      <p className="text-head leading-[46px] font-[560]">
        This is {word("name", "Name of the shop", 12)}. An hour at the bench costs{" "}
        {word("labourPerHour", "What an hour at the bench costs", 4)}, after hours{" "}
        {word("overtimePerHour", "What an hour after hours costs", 4)}.
      </p>
      {faults.map((f) => (
        <Sentence key={f.path}>{f.message}</Sentence>
      ))}
      {!same && (
        <button type="submit" className="press go mt-2 px-6" disabled={say.isPending}>
          Keep it
        </button>
      )}
    </form>
  );
}
