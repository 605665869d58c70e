import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useSearchParams } from "react-router";
import { api } from "../../api/client";
import type { StockLine, StoresView } from "../../api/types";
import { Swatch } from "../../drawing/Hatches";
import { PumpKind } from "../../drawing/PumpKind";
import { ShelfStrip } from "../../drawing/ShelfStrip";
import { Choice } from "../../parts/Choice";
import { day, rounded } from "../../text/numbers";
import { Empty, Failed, Loading, Sentence } from "../../parts/States";
import { Aside } from "./Aside";
import { Consumables } from "./Consumables";
import { Lots } from "./Lots";
import { ShelfRow } from "./ShelfRow";
import { TakeLotIn } from "./TakeLotIn";

/** Kits and parts: what is there, what will be asked for, what to order by when. */
export default function Stores() {
  const stores = useQuery({ queryKey: ["stores"], queryFn: api.stores });
  if (stores.data) return <Shelves stores={stores.data} />;
  if (stores.error) return <Failed error={stores.error} what="the shelf" />;
  return <Loading what="the shelf" />;
}

const LEVELS = ["0.8", "0.9", "0.95", "0.98", "0.99"];

function Shelves({ stores }: { stores: StoresView }) {
  const cache = useQueryClient();
  const [params, setParams] = useSearchParams();
  const lot = params.get("lot") ?? "";
  const [taking, setTaking] = useState(false);
  const level = useMutation({
    mutationFn: (v: string) => api.serviceLevel(Number(v)),
    onSuccess: (now) => cache.setQueryData(["stores"], now),
  });
  if (stores.shelves.length === 0 && stores.consumables.length === 0) {
    return (
      <Empty title="Nothing lies on the shelf yet">
        <p>Take the first lot in with its number and cure date.</p>
        <TakeLotIn onDone={() => undefined} />
      </Empty>
    );
  }
  return (
    <main className="grid grid-cols-[minmax(0,1fr)_372px] max-[1080px]:grid-cols-1">
      <div className="min-w-0 pb-10">
        <div className="flex min-h-12 flex-wrap items-center gap-x-1 border-b border-line px-5 text-body">
          <h1 className="sr-only">Stores</h1>
          <span>The shelf shall be enough</span>
          <Choice
            label="Service level"
            value={String(stores.serviceLevel)}
            onChange={(v) => v && level.mutate(v)}
            all=""
            of={LEVELS}
            say={(v) => `${rounded(100 * Number(v), 1)} times in a hundred`}
          />
          <span>until an order comes.</span>
          <Key />
          <button type="button" className="press call ml-auto px-4" onClick={() => setTaking(!taking)}>
            Take a lot in
          </button>
        </div>
        {level.error && <Sentence>{level.error.message}</Sentence>}
        {taking && <TakeLotIn onDone={() => setTaking(false)} />}
        {stores.shelves.map((s) => (
          <section key={s.sheetId} aria-label={s.title} className="border-t border-ink">
            <h2 className="flex h-9 items-center gap-3 px-5 text-body font-[720]">
              <PumpKind family={s.family} scale={0.8} />
              {s.title}
            </h2>
            {s.kits.map((k) => {
              const here = k.lots.some((l) => l.id === lot);
              const id = k.lots[0]?.id ?? `${s.sheetId} ${k.kit} ${k.material}`;
              return (
                <Kit
                  key={`${k.kit} ${k.material} ${k.hardware}`}
                  line={k}
                  open={here || lot === id}
                  toggle={() => setParams(here || lot === id ? {} : { lot: id }, { replace: true })}
                />
              );
            })}
          </section>
        ))}
        {stores.consumables.length > 0 && <Consumables lines={stores.consumables} />}
      </div>
      <Aside stores={stores} />
    </main>
  );
}

function Key() {
  return (
    <span className="flex items-center gap-4 pl-4 text-small text-soft max-[1240px]:hidden">
      {(
        [
          ["free", "M0,0H12V12H0Z", "var(--soft)", ""],
          ["held", "M0,12V0L12,12Z", "var(--accent)", ""],
          ["missing", "M0,0H12V12H0Z", "none", "3 2.4"],
        ] as const
      ).map(([name, d, fill, dash]) => (
        <span key={name} className="flex items-center gap-1.5">
          <svg width="14" height="14" viewBox="-1 -1 14 14" aria-hidden>
            <path d={d} fill={fill} stroke={dash ? "var(--renew)" : "var(--ink)"} strokeDasharray={dash} />
          </svg>
          {name}
        </span>
      ))}
      <span className="flex items-center gap-1.5">
        <svg width="10" height="16" aria-hidden>
          <path d="M5,5V16" stroke="var(--ink)" strokeWidth="1.5" />
          <path d="M.5,0H9.5L5,6.5Z" fill="var(--ink)" />
        </svg>
        minimum
      </span>
    </span>
  );
}

function Kit({ line: k, open, toggle }: { line: StockLine; open: boolean; toggle: () => void }) {
  const short = k.minimum !== null && k.inDate - k.reserved < k.minimum;
  return (
    <ShelfRow
      open={open}
      toggle={toggle}
      what={
        <span className="flex min-w-0 items-center gap-2.5">
          <svg width="12" height="20" aria-hidden className="shrink-0">
            <Swatch material={k.material} x={0} y={1} />
          </svg>
          <span className="min-w-0">
            <b className="block truncate text-body font-[680]">{k.material}</b>
            <span className="block truncate text-small text-muted">
              {k.title}
              {k.hardware && `, ${k.hardware.replace("-", " ")}`}
            </span>
          </span>
        </span>
      }
      strip={<ShelfStrip line={k} />}
      state={
        <>
          {k.orderBy !== null ? (
            <b className={`font-[680] ${short ? "text-renew" : ""}`}>
              {short ? "order now" : `order by ${day(k.orderBy)}`}
            </b>
          ) : (
            <span className="text-soft">{k.minimum === null ? "nothing forecasts it" : "lasts half a year"}</span>
          )}
          <span className="block text-small text-muted">
            {k.inDate} in date
            {k.reserved > 0 && `, ${k.reserved} held`}
            {k.leadDays !== null && `; an order takes ${k.leadDays} d`}
          </span>
        </>
      }
    >
      <Lots line={k} />
    </ShelfRow>
  );
}
