import type { CoverView } from "../api/types";
import { counted } from "../text/counted";

import { Mark } from "../parts/Mark";
import { money } from "../text/shop";

/** The cheapest way to have what is renewed: the shelf first, then kits and single parts. */
export function Cover({ cover: c }: { cover: CoverView }) {
  return (
    <section className="pt-4" aria-label="To have it all">
      <h3 className="head flex items-baseline justify-between border-b-[1.5px] border-ink pb-1">
        To have it all
        <span className="m text-lead">
          {money(c.cost)}
          <span className="pl-2 text-small font-medium text-muted">
            {c.arrivesInDays > 0 ? `here in ${c.arrivesInDays} days` : "all on the shelf"}
          </span>
        </span>
      </h3>
      <ul>
        {c.buy.map((b) => (
          <li key={b.id} className="flex min-h-9 items-center gap-3 border-b border-line2 text-body">
            <span className="min-w-0 flex-1 font-[620]">
              {b.count > 1 && `${b.count} × `}
              {b.title}
              {b.orderNumber && <span className="m pl-2 text-small font-normal text-soft">{b.orderNumber}</span>}
            </span>
            <span className="m text-small text-muted">{b.leadDays} days</span>
            <span className="m w-20 text-right text-body font-semibold">{money(b.price * b.count, 2)}</span>
          </li>
        ))}
      </ul>
      {c.onHand.length > 0 && (
        <p className="pt-1.5 text-body leading-[18px] text-soft">On the shelf in date: {c.onHand.join(", ")}.</p>
      )}
      {c.leftOver.length > 0 && (
        <p className="pt-1 text-body leading-[18px] text-soft">Left over for the shelf: {c.leftOver.join(", ")}.</p>
      )}
      {c.consumables.length > 0 && (
        <ul aria-label="Grease, oil, locker" className="pt-2">
          {c.consumables.map((u) => (
            <li key={u.title} className="flex min-h-9 items-center gap-3 border-b border-line2 text-body">
              {u.missing && <Mark state="renew" size={13} />}
              <span className="min-w-0 flex-1">
                <b className="font-[620]">{u.title}</b> <span className="text-soft">{u.say}</span>
              </span>
              {u.packs > 0 && (
                <span className="text-small text-muted">
                  {counted(u.packs, "pack")}
                  {u.leadDays !== null && `, ${counted(u.leadDays, "day")}`}
                </span>
              )}
              {u.price !== null && u.packs > 0 && (
                <span className="m w-20 text-right text-body font-semibold">{money(u.price, 2)}</span>
              )}
            </li>
          ))}
        </ul>
      )}
      {c.overAge.map((o) => (
        <p key={o} className="flex items-center gap-2 pt-1 text-body font-[620]">
          <Mark state="renew" size={13} /> Over-age, not counted: {o}
        </p>
      ))}
      {c.missing.length > 0 && (
        <p className="flex items-center gap-2 pt-1 text-body font-[620]">
          <Mark state="unknown" size={13} /> Nobody offers: {c.missing.join(", ")}
        </p>
      )}
      {c.quicker && <p className="pt-1 text-body leading-[18px]">{c.quicker}</p>}
      {!c.optimal && <p className="pt-1 text-body text-muted">Not proved the cheapest: the search was cut short.</p>}
    </section>
  );
}
