import { useQuery } from "@tanstack/react-query";
import { api } from "../../api/client";
import { typedNumber } from "../../text/typedNumber";
import { MONEY } from "../../text/shop";
import { Arrived } from "./Arrived";

const FIELDS = [
  ["lot", "Lot number", "L-0500", "ReceivedRequest.lot"],
  ["cured", "Cure date", "2026-03-01", "ReceivedRequest.cured"],
  ["count", "Pieces", "1", "ReceivedRequest.count"],
  ["price", `Price, ${MONEY}`, "", "ReceivedRequest.price"],
  ["place", "Place", "B4", "ReceivedRequest.place"],
] as const;

/** A lot that came in: what it is, its number, its cure date. */
export function TakeLotIn({ onDone }: { onDone: () => void }) {
  const stores = useQuery({ queryKey: ["stores"], queryFn: api.stores });
  const kinds = (stores.data?.shelves ?? []).flatMap((s) =>
    s.kits.map((k) => ({
      key: `${s.sheetId}|${k.kit}|${k.material}|${k.hardware}`,
      say: `${k.title}, ${k.material}, ${s.title}`,
    })),
  );
  return (
    <Arrived
      label="Kit"
      all="which kit it is"
      of={kinds.map((k) => k.key)}
      say={(v) => kinds.find((k) => k.key === v)?.say ?? v}
      fields={FIELDS}
      receive={(kind, { lot, cured, place, ...typed }) => {
        const [sheet = "", kit = "", material = "", hardware = ""] = kind.split("|");
        const count = typedNumber(typed.count);
        const price = typedNumber(typed.price);
        return api.receiveLot({
          ...{ lot: lot.trim(), sheet, kit, material, hardware, cured, place },
          ...(count == null ? {} : { count }),
          ...(price == null ? {} : { price }),
        });
      }}
      onDone={onDone}
    />
  );
}
