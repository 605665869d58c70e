import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { useSettings } from "../../parts/settings";
import { Faults } from "../../parts/BringTable";
import { typedNumber } from "../../text/typedNumber";

/** A lot that came in: what it is, its number, its cure date. */
export function TakeLotIn({ onDone }: { onDone: () => void }) {
  const { who } = useSettings();
  const cache = useQueryClient();
  const stores = useQuery({ queryKey: ["stores"], queryFn: api.stores });
  const [kind, setKind] = useState("");
  const [typed, setTyped] = useState({ lot: "", cured: "", count: "", price: "", place: "" });
  const kinds = (stores.data?.shelves ?? []).flatMap((s) =>
    s.kits.map((k) => ({
      key: `${s.sheetId}|${k.kit}|${k.material}|${k.hardware}`,
      say: `${k.title}, ${k.material}, ${s.title}`,
    })),
  );
  const [sheet = "", kit = "", material = "", hardware = ""] = kind.split("|");
  const receive = useMutation({
    mutationFn: () => {
      const count = typedNumber(typed.count);
      const price = typedNumber(typed.price);
      return api.receiveLot({
        lot: typed.lot.trim(),
        sheet,
        kit,
        material,
        hardware,
        cured: typed.cured,
        place: typed.place,
        who,
        ...(count == null ? {} : { count }),
        ...(price == null ? {} : { price }),
      });
    },
    onSuccess: (now) => {
      cache.setQueryData(["stores"], now);
      onDone();
    },
  });
  const fields = [
    ["lot", "Lot number", "L-0500"],
    ["cured", "Cure date", "2026-03-01"],
    ["count", "Pieces", "1"],
    ["price", "Price, £", ""],
    ["place", "Place", "B4"],
  ] as const;
  return (
    <form
      className="border-b border-line bg-card px-5 py-3"
      onSubmit={(e) => {
        e.preventDefault();
        receive.mutate();
      }}
    >
      <Choice
        label="Kit"
        value={kind}
        onChange={setKind}
        all="which kit it is"
        of={kinds.map((k) => k.key)}
        say={(v) => kinds.find((k) => k.key === v)?.say ?? v}
      />
      <div className="flex flex-wrap items-end gap-2">
        {fields.map(([name, label, hint]) => (
          <label key={name} className="text-small text-muted">
            {label}
            <input
              className="field m block w-36 text-ink"
              placeholder={hint}
              value={typed[name]}
              onChange={(e) => setTyped({ ...typed, [name]: e.target.value })}
            />
          </label>
        ))}
        <button className="press go px-5" disabled={!who || !kind || !typed.lot || receive.isPending}>
          On the shelf
        </button>
      </div>
      {receive.error && <Faults error={receive.error} />}
    </form>
  );
}
