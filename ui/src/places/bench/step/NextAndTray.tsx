import { api } from "../../../api/client";
import type { TrayItem } from "../../../api/types";
import { SmallPart } from "../../../drawing/SmallPart";
import { clock } from "../../../text/numbers";
import { Mark } from "../../../parts/Mark";
import type { Now } from "../frame/stage";

/** What comes next, and what lies on the tray. */
export function NextAndTray({ id, now }: { id: number; now: Now<"STRIP" | "BUILD"> }) {
  return (
    <aside
      className="border-l border-ink px-6 pb-4 max-[1000px]:border-t max-[1000px]:border-l-0"
      aria-label="Next and tray"
    >
      <div className="flex h-9 items-end justify-between border-b-[1.5px] border-ink pb-1">
        <h2 className="head">Next</h2>
        <span className="text-small text-muted">
          {now.plan.strip.length > 0 ? `${now.plan.strip.length} to strip, ` : ""}
          {Math.round(now.plan.minutes + now.plan.buildOnlyMinutes)} min of hands
          {now.plan.clockMinutes > now.plan.minutes + now.plan.buildOnlyMinutes + 1 &&
            `, ${clock(now.plan.clockMinutes)} on the clock`}
          ,{" "}
          <a className="underline" href={api.clipboardUrl(id)} target="_blank" rel="noreferrer">
            print it
          </a>
        </span>
      </div>
      {now.next.length === 0 && (
        <p className="border-b border-line2 py-3.5 text-body text-soft">Last step of this stage.</p>
      )}
      <ol>
        {now.next.map((n) => (
          <li key={n.id} className="flex min-h-12 items-center border-b border-line2">
            <span className="m w-[34px] text-body text-muted">{n.number}</span>
            <span className="min-w-0 flex-1 leading-[17px]">
              <span className="block py-0.5 text-body font-[600]">{n.sentence}</span>
              {n.sub && <span className="m text-small text-muted">{n.sub}</span>}
            </span>
            {n.turn ? <Change word="Turn over" kind="turn" /> : n.tool ? <Change word={n.tool} kind="tool" /> : null}
          </li>
        ))}
      </ol>
      {now.aside.length > 0 && (
        <>
          <div className="mt-2 flex h-[30px] items-end justify-between border-b-[1.5px] border-ink pb-[3px]">
            <h2 className="head">Aside</h2>
            <span className="text-small text-muted">undone, still caught on the shaft</span>
          </div>
          <ul className="grid grid-cols-2 gap-x-[18px]" aria-label="Aside">
            {now.aside.map((t) => (
              <OnTray key={t.part} item={t} />
            ))}
          </ul>
        </>
      )}
      <Tray tray={now.tray} />
    </aside>
  );
}

function Change({ word, kind }: { word: string; kind: "turn" | "tool" }) {
  return (
    <span className="flex items-center gap-1.5 pl-2 text-small font-[620] whitespace-nowrap">
      {word}
      <svg width="28" height="28" viewBox="0 0 30 30" fill="none" stroke="var(--ink)" strokeWidth="1.7" aria-hidden>
        {kind === "turn" ? (
          <>
            <path d="M7,12H23V21H7ZM4,16.5H7M23,16.5H26M6,7.5C10,2.5 20,2.5 24,7.5" />
            <path d="M25.6,10L25.2,4.6L20.8,7.9Z" fill="var(--ink)" stroke="none" />
          </>
        ) : (
          <>
            <path d="M9.5,5.5l4.3,2.5v5L9.5,15.5l-4.3,-2.5v-5zM17,8.5H21C22.5,8.5 23,9 23,11" />
            <path d="M20.5,14.5l4.3,2.5v5l-4.3,2.5l-4.3,-2.5v-5z" fill="var(--ink)" />
            <path d="M23,13.6L20.6,10H25.4Z" fill="var(--ink)" stroke="none" />
          </>
        )}
      </svg>
    </span>
  );
}

function Tray({ tray }: { tray: TrayItem[] }) {
  const sided = tray.some((t) => t.side !== "");
  const looked = tray.filter((t) => t.state !== "unknown").length;
  return (
    <>
      <div className="mt-2 flex h-[30px] items-end justify-between border-b-[1.5px] border-ink pb-[3px]">
        <h2 className="head">On the tray</h2>
        <span className="text-small text-muted">
          {tray.length === 0 ? "nothing off yet" : `${tray.length} parts, ${looked} looked at or renewed`}
        </span>
      </div>
      {SIDES.map(([side, title]) => {
        const parts = tray.filter((t) => t.side === side);
        if (parts.length === 0) return null;
        return (
          <div key={side}>
            {sided && <h3 className="pt-1.5 text-small font-[640] text-muted">{title}</h3>}
            <ul className="grid grid-cols-2 gap-x-[18px]" aria-label={sided ? title : "Tray"}>
              {parts.map((t) => (
                <OnTray key={t.part} item={t} />
              ))}
            </ul>
          </div>
        );
      })}
    </>
  );
}

const SIDES = [
  ["A", "Side A"],
  ["", "Middle"],
  ["B", "Side B"],
] as const;

function OnTray({ item: t }: { item: TrayItem }) {
  return (
    <li className="flex min-h-12 items-center gap-2 border-b border-line2 py-0.5">
      <SmallPart glyphName={t.glyph} />
      <span className="min-w-0 leading-4">
        <span className="block text-body leading-[15px] font-[600]">{t.name}</span>
        <span className="flex items-center gap-1.5 text-small text-muted">
          <Mark state={t.state} size={13} />
          {[t.word, t.matched && "own place"].filter(Boolean).join(", ")}
        </span>
      </span>
    </li>
  );
}
