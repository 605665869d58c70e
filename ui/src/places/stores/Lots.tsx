import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { ShelfLot, StockLine } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Mark } from "../../parts/Mark";

import { Sentence } from "../../parts/States";
import { CountForm } from "./CountForm";
import { LOT_STATE } from "./lotState";
import { useShelf } from "./useShelf";
import { money } from "../../text/shop";

/** The lots of a kit, why so many are needed, and what can be done with each. */
export function Lots({ line }: { line: StockLine }) {
  return (
    <div className="border-t border-line2 bg-card px-5 pt-2 pb-3">
      <p className="max-w-[720px] text-body leading-[19px]">{line.because}</p>
      {line.lots.length === 0 && <p className="pt-2 text-body font-[640] text-renew">None on the shelf.</p>}
      {line.lots.map((l) => (
        <Lot key={l.id} lot={l} pumps={line.pumps} />
      ))}
    </div>
  );
}

function Lot({ lot: l, pumps }: { lot: ShelfLot; pumps: string[] }) {
  const shelf = useShelf();
  const running = useQuery({ queryKey: ["running"], queryFn: api.running });
  const onBench = (running.data ?? []).filter((r) => pumps.length === 0 || pumps.includes(r.pump));
  const over = l.status === "over-age";
  return (
    <div className="mt-2 border-t border-line pt-1.5">
      <div className="flex flex-wrap items-center gap-x-4 text-body">
        <span className="flex items-center gap-2 font-[700]">
          <Mark state={LOT_STATE[l.status]} size={15} />
          {l.id}
        </span>
        <span className="m">{l.quantity} there</span>
        <span className={over ? "font-[640] text-renew" : "text-soft"}>{l.say}</span>
        <span className="text-muted">
          cured {l.cured}, place {l.place || "not known"}, {money(l.price)}
        </span>
        <a
          className="under ml-auto text-body"
          href={`/api/v1/labels.pdf?lots=${encodeURIComponent(l.id)}`}
          target="_blank"
          rel="noreferrer"
        >
          Label
        </a>
      </div>
      {l.held.map((h) => (
        <p key={h.id} className="flex items-center gap-3 text-body">
          Held for <Link to={`/pumps/${h.pump}`}>{h.pump}</Link> by {h.by}
          <button type="button" className="under min-h-9 text-body" onClick={() => shelf.release.mutate(h.id)}>
            Let go
          </button>
        </p>
      ))}
      <div className="flex flex-wrap items-center gap-x-2 gap-y-1">
        {!over && l.quantity > l.held.length && pumps.length > 0 && (
          <Choice
            label={`Hold a piece of ${l.id}`}
            value=""
            onChange={(pump) => pump && shelf.act.mutate({ act: "reserve", lot: l.id, pump })}
            all="Hold one for"
            of={pumps}
          />
        )}
        {!over &&
          l.quantity > 0 &&
          onBench.map((r) => (
            <button
              key={r.id}
              type="button"
              className="press px-3 text-body"
              disabled={!shelf.take}
              onClick={() => shelf.act.mutate({ act: "issue", lot: l.id, rebuild: r.id })}
            >
              Hand one out to {r.pump}
            </button>
          ))}
        <CountForm
          ask="Count"
          label={`Pieces of ${l.id} counted`}
          from={l.quantity}
          keep="That many are there"
          of="LotRequest.count"
          may={shelf.stock}
          onCount={(count) => shelf.act.mutate({ act: "count", lot: l.id, count })}
        />
        {over && l.quantity > 0 && (
          <button
            type="button"
            className="press px-3 text-body"
            disabled={!shelf.stock}
            onClick={() => shelf.act.mutate({ act: "scrap", lot: l.id, note: "over-age" })}
          >
            Scrapped
          </button>
        )}
      </div>
      {shelf.error && <Sentence>{shelf.error.message}</Sentence>}
    </div>
  );
}
