import { api } from "../../api/client";
import type { ConsumableLine } from "../../api/types";
import { typedNumber } from "../../text/typedNumber";
import { MONEY } from "../../text/shop";
import { Arrived } from "./Arrived";

const FIELDS = [
  ["lot", "Lot number", "G-200", "ConsumableReceivedRequest.lot"],
  ["bestBefore", "Date on the pack", "2028-03-31", "ConsumableReceivedRequest.bestBefore"],
  ["packs", "Packs", "1", "ConsumableReceivedRequest.packs"],
  ["price", `Price of a pack, ${MONEY}`, "", "ConsumableReceivedRequest.price"],
  ["place", "Place", "F1", "ConsumableReceivedRequest.place"],
] as const;

/** Packs of a consumable that came in: what it is, its lot, the date on the pack. */
export function TakePacksIn({ lines, onDone }: { lines: ConsumableLine[]; onDone: () => void }) {
  return (
    <Arrived
      label="Consumable"
      all="what it is"
      of={lines.map((l) => l.consumable)}
      say={(v) => lines.find((l) => l.consumable === v)?.title ?? v}
      fields={FIELDS}
      receive={(consumable, { lot, bestBefore, place, ...typed }) => {
        const packs = typedNumber(typed.packs);
        const price = typedNumber(typed.price);
        return api.receiveConsumable({
          ...{ lot: lot.trim(), consumable, bestBefore, place },
          ...(packs == null ? {} : { packs }),
          ...(price == null ? {} : { price }),
        });
      }}
      onDone={onDone}
    />
  );
}
