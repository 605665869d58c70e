import type { ReactNode } from "react";
import type { BroughtView, SetupName, SetupNames, SetupTableRows } from "../../api/types";
import { Choice } from "../../parts/Choice";
import { Mark } from "../../parts/Mark";
import { counted } from "../../text/counted";
import { rounded } from "../../text/numbers";
import { namesOf } from "./known";
import { NameField } from "./NameField";

const LEFT_OUT = "left out";

/** What somebody said of a table: which heading fills what, and what words mean. */
export interface Said {
  columns?: Record<string, string>;
  words?: Record<string, Record<string, string>>;
}

/** What each column of ours is filled by. */
export function Columns({ seen, said, say }: { seen: BroughtView; said: Said; say: (s: Said) => void }) {
  const headings = seen.headings.map((h) => h.name);
  return (
    <table className="w-full text-left text-body">
      <thead>
        <tr className="border-b border-ink">
          <th className="w-6 py-1.5" aria-label="State" />
          <th className="w-56 py-1.5 font-[680]">Here</th>
          <th className="w-64 py-1.5 font-[680]">In your table</th>
          <th className="py-1.5 font-[680]">It says</th>
        </tr>
      </thead>
      <tbody>
        {seen.fields.map((f) => {
          const heading = seen.headings.find((h) => f.heading !== "" && h.name === f.heading);
          return (
            <tr key={f.id} className="border-b border-line2">
              <td>
                <Mark state={heading ? "sound" : f.needed ? "watch" : "unknown"} size={12} />
              </td>
              <td className="pr-4">
                <b className="font-[660]">{f.title}</b>
                {f.needed && !heading && (
                  <span className="block text-small text-watch-words">needed for what is new</span>
                )}
              </td>
              <td className="pr-4">
                <Choice
                  label={f.title}
                  value={heading ? heading.name : ""}
                  all={LEFT_OUT}
                  of={headings.filter((h) => h !== "")}
                  say={(h) => `${seen.headings.find((x) => x.name === h)?.letter ?? ""}  ${h}`}
                  onChange={(h) => say({ ...said, columns: { ...said.columns, [f.id]: h } })}
                />
                {heading && f.sure < 100 && <span className="pl-2 text-small text-watch-words">{f.sure} % sure</span>}
              </td>
              <td className="m max-w-[260px] truncate text-small text-soft">{heading?.examples.join(", ")}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** Up to so many names are offered all of them. */
const FEW_NAMES = 5;

/** A word that is no name known here: what it means is said once for all its rows. */
function Unknown({
  word: u,
  names,
  onSay,
}: {
  word: BroughtView["unknown"][number];
  names: SetupName[];
  onSay: (code: string) => void;
}) {
  const few = names.length <= FEW_NAMES;
  const offered = few ? names.map((n) => ({ ...n, like: 0 })) : u.near;
  return (
    <section className="border-b border-line py-2" aria-label={`What ${u.word} is`}>
      <h2 className="flex items-baseline justify-between">
        <span className="text-title font-[680]">{u.word}</span>
        <span className="text-right text-small text-soft">
          {counted(u.rows, "row")}, {u.cells.join(" ")}
        </span>
      </h2>
      <p className="pb-1.5 text-body text-soft">
        {few
          ? "Say what it means."
          : u.near.length > 0
            ? "Nothing here is called so. Nearest by name; none is taken by itself."
            : "Nothing here is called so, nor nearly so: find what it is."}
      </p>
      <div className="flex flex-col gap-1.5">
        {offered.map((n) => (
          <button
            key={n.code}
            type="button"
            className="press flex items-center justify-between gap-3 text-left"
            onClick={() => onSay(n.code)}
          >
            <span>{n.name}</span>
            {!few && <span className="m text-body text-soft">{n.like}</span>}
          </button>
        ))}
        {!few && (
          <NameField
            label={`What ${u.word} is`}
            names={names}
            value=""
            onType={(v) => names.some((n) => n.code === v) && onSay(v)}
          />
        )}
      </div>
    </section>
  );
}

const MOST_FAULTS = 60;

/** Every fault with its cell. */
function FaultList({ seen }: { seen: BroughtView }) {
  if (seen.faults.length === 0) return null;
  return (
    <section aria-label="At fault" className="pt-3">
      <h2 className="head border-b-[1.5px] border-ink pb-1">At fault, each with its cell</h2>
      <ul>
        {seen.faults.slice(0, MOST_FAULTS).map((f) => (
          <li key={f.cell + f.message} className="flex gap-3 border-b border-line2 py-1 text-body leading-[18px]">
            <b className="m w-14 shrink-0 text-renew">{f.cell}</b>
            <span className="min-w-0 break-words">{f.message}</span>
          </li>
        ))}
      </ul>
      {seen.faults.length > MOST_FAULTS && (
        <p className="py-1 text-body text-soft">and {seen.faults.length - MOST_FAULTS} more</p>
      )}
    </section>
  );
}

/** What would change of what stands. */
function Changes({ seen }: { seen: BroughtView }) {
  if (seen.changes.length === 0) return null;
  return (
    <section aria-label="What changes" className="pt-3">
      <h2 className="head border-b-[1.5px] border-ink pb-1">What changes</h2>
      <ul>
        {seen.changes.map((c) => (
          <li key={c.key + c.title} className="flex items-baseline gap-3 border-b border-line2 py-1 text-body">
            <b className="font-[680]">{c.key}</b>
            <span className="flex-1">{c.title.toLowerCase()}</span>
            <span className="m text-small">
              {c.from || "nothing"} to <b>{c.to || "nothing"}</b>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is still to be said of a table, what is wrong with it, and what it would change. */
export function ToSay({
  seen,
  said,
  say,
  table,
  names,
}: {
  seen: BroughtView;
  said: Said;
  say: (s: Said) => void;
  table: Pick<SetupTableRows, "columns">;
  names: SetupNames[];
}) {
  return (
    <>
      {seen.unknown.map((u) => (
        <Unknown
          key={u.column + u.word}
          word={u}
          names={namesOf(names, table.columns.find((c) => c.id === u.column)?.names ?? "any")}
          onSay={(code) =>
            say({ ...said, words: { ...said.words, [u.column]: { ...said.words?.[u.column], [u.word]: code } } })
          }
        />
      ))}
      <FaultList seen={seen} />
      <Changes seen={seen} />
      {seen.faults.length === 0 && seen.changes.length === 0 && (
        <p className="pt-1 text-body text-soft">Every row of it was understood.</p>
      )}
    </>
  );
}

/** Whether 03/01/2026 is the first of March. */
export function DayOrder({ monthFirst, say }: { monthFirst: boolean; say: (monthFirst: boolean) => void }) {
  return (
    <span className="flex items-center text-lead">
      days as{" "}
      <Choice
        label="Order of a day"
        value={monthFirst ? "month first" : "day first"}
        all="day first"
        of={["day first", "month first"]}
        onChange={(v) => say(v === "month first")}
      />
    </span>
  );
}

/** So many rows of each kind. */
export type Sums = Pick<BroughtView, "fresh" | "changed" | "same" | "wrong">;

/** What it would do or did, and what is pressed next; {@link children} where all of it is written. */
export function BringFoot({
  sums,
  done,
  bring,
  children,
}: {
  sums: Sums;
  done: boolean;
  bring: (leaveOut: boolean) => void;
  children: ReactNode;
}) {
  const moving = sums.fresh + sums.changed;
  return (
    <div className="sticky bottom-0 flex flex-wrap items-center gap-4 border-t-[1.5px] border-ink bg-paper px-5 py-2">
      <p className="text-lead" role="status">
        {done ? "Brought: " : "Dry run: "}
        <b>{rounded(sums.fresh)} new</b>, {rounded(sums.changed)} changed, {rounded(sums.same)} the same
        {sums.wrong > 0 && <b className="text-renew">, {rounded(sums.wrong)} at fault</b>}
      </p>
      <span className="flex-1" />
      {!done && sums.wrong > 0 && moving > 0 && (
        <button type="button" className="press" onClick={() => bring(true)}>
          Leave {rounded(sums.wrong)} out, bring {rounded(moving)}
        </button>
      )}
      {done ? (
        children
      ) : (
        <button
          type="button"
          className={`press go ${BRING_WIDTH}`}
          disabled={sums.wrong > 0 || moving === 0}
          onClick={() => bring(false)}
        >
          {`Bring ${rounded(moving)} ${moving === 1 ? "row" : "rows"}`}
        </button>
      )}
    </div>
  );
}

/** Width of the one button at the foot. */
export const BRING_WIDTH = "min-w-[260px] max-[860px]:min-w-[180px]";
