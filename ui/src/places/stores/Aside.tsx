import { Link } from "react-router";
import type { StoresView } from "../../api/types";
import { Mark } from "../../parts/Mark";
import { day, rounded } from "../../text/numbers";
import { Sentence } from "../../parts/States";
import { KeepAPart } from "./KeepAPart";
import { useShelf } from "./useShelf";
import { money } from "../../text/shop";

/** What asks for something: over-age lots, what to order, pieces out, parts kept. */
export function Aside({ stores: s }: { stores: StoresView }) {
  const shelf = useShelf();
  return (
    <aside
      aria-label="To do at the shelf"
      className="border-l-[1.5px] border-ink bg-card px-5 pt-3 pb-8 max-[1080px]:border-t-[1.5px] max-[1080px]:border-l-0"
    >
      {shelf.error && <Sentence>{shelf.error.message}</Sentence>}
      {s.overAge.length > 0 && (
        <section aria-label="Over-age">
          <h2 className="head border-b-[1.5px] border-ink pb-1">Past their dates</h2>
          {s.overAge.map((o) => {
            const over = o.status === "over-age";
            return (
              <div key={o.lot} className="border-b border-line py-2">
                <p className="flex items-center gap-2 text-body">
                  <Mark state={over ? "renew" : "watch"} size={17} />
                  <b className="font-[700]">{o.lot}</b>
                  <span className="min-w-0 flex-1 truncate">{o.title}</span>
                  <span className="m text-body">{o.quantity}</span>
                </p>
                <p className={`text-body font-[640] ${over ? "text-renew" : "text-watch-words"}`}>{o.say}</p>
                <p className="text-body leading-[18px] text-soft">{o.doThis}</p>
                {over && (
                  <button
                    type="button"
                    className="press mt-1.5 px-4"
                    disabled={!shelf.stock}
                    onClick={() => shelf.act.mutate({ act: "scrap", lot: o.lot, note: "over-age" })}
                  >
                    Scrapped
                  </button>
                )}
              </div>
            );
          })}
        </section>
      )}
      <section aria-label="To order" className="pt-4">
        <h2 className="head flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
          To order
          <span className="m text-body font-semibold">{money(s.orderCost)}</span>
        </h2>
        {s.order.length === 0 && <p className="py-2 text-body text-soft">The shelf lasts half a year.</p>}
        <ul>
          {s.order.map((o) => (
            <li
              key={`${o.sheetId} ${o.kit} ${o.material}`}
              className="flex items-center gap-3 border-b border-line2 py-1.5 text-body"
              title={o.because}
            >
              <span className={`m w-16 font-semibold ${o.late ? "text-renew" : ""}`}>
                {o.late ? "now" : day(o.orderBy)}
              </span>
              <span className="m w-7 text-right">{o.count}×</span>
              <span className="min-w-0 flex-1 truncate">
                {o.material ? <b className="font-[660]">{o.material} </b> : null}
                {o.title}
                {o.orderNumber && <span className="m block truncate text-small text-soft">{o.orderNumber}</span>}
              </span>
              <span className="m text-small">{money(o.price)}</span>
            </li>
          ))}
        </ul>
        <a className="under text-body" href="/api/v1/stores/purchase.csv" download="purchase.csv">
          Purchase list as a table
        </a>
      </section>
      {s.out.length > 0 && (
        <section aria-label="Out at the bench" className="pt-4">
          <h2 className="head border-b-[1.5px] border-ink pb-1">Out at the bench</h2>
          {s.out.map((o) => (
            <div key={`${o.lot} ${o.rebuild}`} className="flex items-center gap-3 border-b border-line2 py-1 text-body">
              <span className="min-w-0 flex-1">
                <b className="font-[680]">{o.lot}</b> {o.title} at <Link to={`/bench/${o.rebuild}`}>{o.pump}</Link>
              </span>
              <button
                type="button"
                className="press px-3 text-body"
                disabled={!shelf.take}
                onClick={() => shelf.act.mutate({ act: "return", lot: o.lot, rebuild: o.rebuild })}
              >
                Back on the shelf
              </button>
            </div>
          ))}
        </section>
      )}
      {s.units.length > 0 && (
        <section aria-label="Units" className="pt-4">
          <h2 className="head border-b-[1.5px] border-ink pb-1">Units on the shelf</h2>
          {s.units.map((u) => (
            <div key={u.serial} className="border-b border-line2 py-1.5 text-body">
              <p className="flex items-center gap-2">
                <b className="m font-semibold">{u.serial}</b>
                <span className="min-w-0 flex-1 truncate">{u.title}</span>
                <span className="m text-body">{rounded(u.hours)} h</span>
              </p>
              <p className="text-small text-muted">
                {u.material}
                {u.place && `, place ${u.place}`}
                {u.note && `; ${u.note}`}
              </p>
            </div>
          ))}
        </section>
      )}
      <section aria-label="Kept parts" className="pt-4">
        <h2 className="head border-b-[1.5px] border-ink pb-1">Retired parts that were kept</h2>
        {s.kept.length === 0 && (
          <p className="py-2 text-body text-soft">None. A part that looks sound may be kept with its hours.</p>
        )}
        {s.kept.map((k) => (
          <div key={k.id} className="border-b border-line2 py-1.5 text-body">
            <p className="flex items-center gap-2">
              <Mark state={k.condition === "sound" ? "sound" : "watch"} size={15} />
              <b className="m font-semibold">{k.id}</b>
              <span className="min-w-0 flex-1 truncate">
                {k.name} {k.material}
                {k.serial && `, ${k.serial}`}
              </span>
              <span className="m text-body">{rounded(k.hours)} h</span>
            </p>
            <p className="flex items-center justify-between text-small text-muted">
              <span>
                from {k.fromPump}, {k.kept}
                {k.place && `, place ${k.place}`}
                {k.note && `. ${k.note}`}
              </span>
              <button type="button" className="under min-h-9 text-small" onClick={() => shelf.scrapKept.mutate(k.id)}>
                Scrapped
              </button>
            </p>
          </div>
        ))}
        <KeepAPart />
      </section>
    </aside>
  );
}
