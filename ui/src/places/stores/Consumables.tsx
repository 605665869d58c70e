import { useState } from "react";
import type { ConsumableLine, ConsumableLotView } from "../../api/types";
import { AmountStrip } from "../../drawing/AmountStrip";
import { Mark } from "../../parts/Mark";
import { Sentence } from "../../parts/States";
import { counted } from "../../text/counted";
import { rounded } from "../../text/numbers";
import { TakePacksIn } from "./TakePacksIn";
import { CountForm } from "./CountForm";
import { LOT_STATE } from "./lotState";
import { ShelfRow } from "./ShelfRow";
import { useShelf } from "./useShelf";
import { money, unitWord } from "../../text/shop";

/** Grease, oil, locker and the like: what is there in date, what the largest job takes, what to order. */
export function Consumables({ lines }: { lines: ConsumableLine[] }) {
  const [open, setOpen] = useState("");
  const [taking, setTaking] = useState(false);
  return (
    <section aria-label="Consumables" className="border-t border-ink">
      <div className="flex min-h-11 items-center gap-3 px-5">
        <h2 className="text-body font-[720]">Grease, oil, locker</h2>
        <button type="button" className="press ml-auto px-4 text-body" onClick={() => setTaking(!taking)}>
          Take packs in
        </button>
      </div>
      {taking && <TakePacksIn lines={lines} onDone={() => setTaking(false)} />}
      {lines.map((l) => (
        <Line
          key={l.consumable}
          line={l}
          open={open === l.consumable}
          toggle={() => setOpen(open === l.consumable ? "" : l.consumable)}
        />
      ))}
    </section>
  );
}

function Line({ line: l, open, toggle }: { line: ConsumableLine; open: boolean; toggle: () => void }) {
  const unit = unitWord(l.unit);
  return (
    <ShelfRow
      open={open}
      toggle={toggle}
      what={
        <span className="min-w-0">
          <b className="block text-body font-[680]">{l.title}</b>
          <span className="block text-small text-muted">
            a pack holds {rounded(l.pack)} {unit}
          </span>
        </span>
      }
      strip={<AmountStrip line={l} />}
      state={
        <>
          {l.order > 0 ? (
            <b className="font-[680] text-renew">order {counted(l.order, "pack")} now</b>
          ) : (
            <span className="text-soft">enough for the largest job</span>
          )}
          <span className="block text-small text-muted">
            {rounded(l.inDate, 1)} {unit} in date
            {l.leadDays !== null && `; an order takes ${l.leadDays} d`}
          </span>
        </>
      }
    >
      <div className="border-t border-line2 bg-card px-5 pt-2 pb-3">
        <p className="max-w-[720px] text-body leading-[19px]">{l.because}</p>
        {l.lots.length === 0 && <p className="pt-2 text-body font-[640] text-renew">None on the shelf.</p>}
        {l.lots.map((lot) => (
          <Lot key={lot.id} lot={lot} unit={unit} />
        ))}
      </div>
    </ShelfRow>
  );
}

function Lot({ lot: l, unit }: { lot: ConsumableLotView; unit: string }) {
  const shelf = useShelf();
  const over = l.status === "over-age";
  return (
    <div className="mt-2 border-t border-line pt-1.5">
      <div className="flex flex-wrap items-center gap-x-4 text-body">
        <span className="flex items-center gap-2 font-[700]">
          <Mark state={LOT_STATE[l.status]} size={15} />
          {l.id}
        </span>
        <span className="m">
          {rounded(l.amount, 1)} {unit}
        </span>
        <span className={over ? "font-[640] text-renew" : "text-soft"}>{l.say}</span>
        <span className="text-muted">
          place {l.place || "not known"}, {money(l.price)} a pack
        </span>
      </div>
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        <CountForm
          ask="What is left"
          label={`What is left of ${l.id}, ${unit}`}
          from={l.amount}
          keep={`${unit} are left`}
          of="ConsumableLotRequest.amount"
          may={shelf.stock}
          onCount={(amount) => shelf.consumable.mutate({ act: "count", lot: l.id, amount })}
        />
        {over && (
          <button
            type="button"
            className="press px-3 text-body"
            disabled={!shelf.stock}
            onClick={() => shelf.consumable.mutate({ act: "scrap", lot: l.id, note: "over its date" })}
          >
            Thrown away
          </button>
        )}
      </div>
      {shelf.error && <Sentence>{shelf.error.message}</Sentence>}
    </div>
  );
}
