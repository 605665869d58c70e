import { useState } from "react";
import { Link } from "react-router";
import type { DiaryEntry, DiaryView } from "../../api/types";
import { PumpKind } from "../../drawing/PumpKind";
import { Choice } from "../../parts/Choice";
import { quality } from "./quality";
import { Mark } from "../../parts/Mark";
import { RoundList } from "../rounds/RoundList";
import { rounded } from "../../text/numbers";
import { clockWord, dayWord, workDays } from "./days";
import type { Put } from "./Diary";

interface Props {
  diary: DiaryView;
  entry: DiaryEntry | undefined;
  choose: (pump: string) => void;
  put: (put: Put) => void;
  busy: boolean;
}

/** Rounds that are told before one asks for all. */
const ROUNDS_SHOWN = 8;

/** The job in hand: when, why then, and where else it may go; below it what has no place. */
export function JobAside({ diary, entry, choose, put, busy }: Props) {
  const [allRounds, setAllRounds] = useState(false);
  return (
    <aside
      aria-label="The job in hand"
      className="sticky top-0 h-[calc(100vh-48px)] min-h-[600px] self-start overflow-y-auto border-l-[1.5px] border-ink bg-card px-5 pt-3 pb-6 max-[1080px]:static max-[1080px]:h-auto max-[1080px]:border-t-[1.5px] max-[1080px]:border-l-0"
    >
      {entry ? <Chosen diary={diary} entry={entry} put={put} busy={busy} /> : <Nothing diary={diary} />}
      {diary.unplaced.length > 0 && (
        <section aria-label="No place" className="pt-4">
          <h2 className="head border-b-[1.5px] border-ink pb-1">No place for these</h2>
          {diary.unplaced.map((u) => (
            <div key={u.pump} className="border-b border-line2 py-1.5 text-body">
              <p className="flex items-center gap-2">
                <Mark state="watch" size={15} />
                <Link to={`/pumps/${u.pump}`} className="font-[700]">
                  {u.pump}
                </Link>
                <span className="text-muted">
                  {rounded(u.minutes)} min, {due(u.dueDays)}
                </span>
              </p>
              <p className="leading-[18px] text-soft">{u.cause}</p>
            </div>
          ))}
          {diary.waiting > diary.unplaced.length && (
            <p className="py-2 text-body text-muted">{diary.waiting - diary.unplaced.length} more, due later.</p>
          )}
        </section>
      )}
      {diary.rounds.length > 0 && (
        <section aria-label="Rounds" className="pt-4">
          <h2 className="head border-b-[1.5px] border-ink pb-1">Rounds in these weeks</h2>
          <RoundList rounds={diary.rounds.slice(0, allRounds ? diary.rounds.length : ROUNDS_SHOWN)} pump />
          {!allRounds && diary.rounds.length > ROUNDS_SHOWN && (
            <button type="button" className="min-h-11 text-body underline" onClick={() => setAllRounds(true)}>
              {diary.rounds.length - ROUNDS_SHOWN} more
            </button>
          )}
        </section>
      )}
      {diary.entries.length > 0 && (
        <section aria-label="All jobs" className="pt-4">
          <h2 className="head border-b-[1.5px] border-ink pb-1">In order</h2>
          <ul>
            {diary.entries.map((e) => (
              <li key={e.pump}>
                <button
                  type="button"
                  className="flex min-h-10 w-full items-center gap-3 border-b border-line2 text-left text-body"
                  onClick={() => choose(e.pump)}
                >
                  <b className="w-16 font-[700]">{e.pump}</b>
                  <span className="m flex-1 text-small">
                    {dayWord(diary.from, e.day)} {clockWord(e.from)}
                  </span>
                  <span className="m text-small text-muted">{e.who}</span>
                </button>
              </li>
            ))}
          </ul>
          <a
            className="under text-body"
            href={`/api/v1/labels.pdf?pumps=${diary.entries.map((e) => encodeURIComponent(e.pump)).join(",")}`}
            target="_blank"
            rel="noreferrer"
          >
            Labels for these pumps
          </a>
        </section>
      )}
    </aside>
  );
}

const due = (days: number) => {
  const n = Math.round(Math.abs(days));
  return days < 0 ? `${n} days past due` : `due in ${n} days`;
};

function Nothing({ diary }: { diary: DiaryView }) {
  return diary.entries.length === 0 ? (
    <p className="pt-2 text-lead leading-6 font-[640]">
      {diary.waiting === 0
        ? "Nothing is due within six weeks."
        : `${diary.waiting} jobs are worth doing within six weeks. Plan the work to place them.`}
    </p>
  ) : (
    <p className="pt-2 text-lead leading-[21px] text-soft">
      {diary.search && <span className="block pb-2 font-[640] text-ink">{quality(diary.search)}</span>}
      Choose a job to see why it stands where it does. Take it to another time to pin it there; the others go around it.
    </p>
  );
}

function Chosen({ diary, entry: e, put, busy }: Pick<Props, "diary" | "put" | "busy"> & { entry: DiaryEntry }) {
  const days = workDays(diary).filter((d) => d.lanes.length > 0);
  const [day, setDay] = useState(String(e.day));
  const [who, setWho] = useState(e.who);
  const [minute, setMinute] = useState(String(e.from));
  const minutes = [];
  for (let m = diary.opens; m < diary.closes; m += 30) minutes.push(String(m));
  return (
    <section aria-label={e.pump}>
      <div className="flex items-center justify-between">
        <h2 className="tag text-tag leading-[42px]">{e.pump}</h2>
        <PumpKind family={e.family} scale={1.4} />
      </div>
      <p className="text-body text-muted">{e.duty}</p>
      <p className="pt-2 text-title leading-7 font-[680]">
        {dayWord(diary.from, e.day)}, {clockWord(e.from)} to {clockWord(e.to)}, {e.who}
      </p>
      <p className="pt-1.5 text-body leading-[20px]">{e.because}</p>
      {(e.fixture || e.pair) && (
        <p className="pt-1 text-body text-soft">
          {e.fixture && `Needs the ${e.fixture}. `}
          {e.pair && `Never out together with ${e.pair}.`}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-x-1 pt-2 text-body">
        Move it to
        <Choice
          label="Day"
          value={day}
          onChange={(v) => v && setDay(v)}
          all=""
          of={days.map((d) => String(d.day))}
          say={(v) => dayWord(diary.from, Number(v))}
          then=","
        />
        <Choice
          label="Time"
          value={minute}
          onChange={(v) => v && setMinute(v)}
          all=""
          of={minutes}
          say={(v) => clockWord(Number(v))}
          then=","
        />
        <Choice
          label="Person"
          value={who}
          onChange={(v) => v && setWho(v)}
          all=""
          of={diary.people.map((p) => p.who)}
        />
      </div>
      <div className="grid grid-cols-2 gap-2 pt-1">
        <button
          type="button"
          className="press call"
          disabled={busy}
          onClick={() => put({ pump: e.pump, at: { day: Number(day), minute: Number(minute), person: who } })}
        >
          Pin it there
        </button>
        <button
          type="button"
          className="press"
          disabled={busy || !e.pinned}
          onClick={() => put({ pump: e.pump, at: null })}
        >
          Let it go
        </button>
      </div>
      <p className="pt-1 text-body">
        <Link className="under" to={`/pumps/${e.pump}`}>
          This pump's page
        </Link>
      </p>
    </section>
  );
}
