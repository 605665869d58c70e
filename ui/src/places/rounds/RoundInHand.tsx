import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { api } from "../../api/client";
import { newKey } from "../../api/newKey";
import { Refused } from "../../api/transport";
import type { RoundView } from "../../api/types";
import { Room } from "../../parts/TextInput";
import { NumberInput } from "../../parts/ReadingField";
import { Failed, Loading, Sentence } from "../../parts/States";
import { useDraft } from "../../parts/useDraft";
import { limitWords } from "../../text/limits";

import { dueWord } from "./dueWord";
import { useMay } from "../../parts/useMay";
import { quantity, typedInRecords, typedUnit, unitWord } from "../../text/shop";

/** A round at the pump: what is made safe, what is done, what is asked, and done. */
export default function RoundInHand() {
  const { tag = "", round = "" } = useParams();
  const rounds = useQuery({ queryKey: ["rounds", tag], queryFn: () => api.rounds(tag) });
  if (rounds.error && !rounds.data) return <Failed error={rounds.error} what={`pump ${tag}`} />;
  if (!rounds.data) return <Loading what={tag} />;
  const held = rounds.data.find((r) => r.round === round);
  if (!held) return <p className="p-5 text-lead">This pump has no such round.</p>;
  return <InHand key={held.round} round={held} />;
}

function InHand({ round: r }: { round: RoundView }) {
  const work = useMay("work");
  const go = useNavigate();
  const queries = useQueryClient();
  const [key] = useState(newKey);
  const [stored, setStored, clear] = useDraft(`round.${r.pump}.${r.round}`);
  const typed = stored ? (JSON.parse(stored) as Record<string, string>) : {};
  const done = useMutation({
    mutationFn: () =>
      api.roundDone(r.pump, r.round, {
        key,
        note: typed.note ?? "",
        answers: r.checks
          .filter((c) => typed[c.id])
          .map((c) => ({
            check: c.id,
            ...(c.kind === "number" && { reading: { typed: typed[c.id] ?? "", unit: typedUnit(c.unit) } }),
          })),
      }),
    onSuccess: (left) => {
      clear();
      queries.setQueryData(["rounds", r.pump], left);
      void queries.invalidateQueries({ queryKey: ["floor"] });
      void queries.invalidateQueries({ queryKey: ["diary"] });
      void go(`/pumps/${r.pump}`);
    },
  });
  const put = (id: string, text: string) => {
    done.reset();
    setStored(JSON.stringify({ ...typed, [id]: text }));
  };
  const faults = done.error instanceof Refused ? done.error.faults : [];
  const of = (id: string) => faults.find((f) => f.path === id)?.message;
  return (
    <main className="mx-auto max-w-[920px] px-5 pt-3 pb-8">
      <header className="flex flex-wrap items-baseline gap-x-5 border-b-[1.5px] border-ink pb-1.5">
        <h1 className="tag text-tag leading-[46px]">{r.pump}</h1>
        <p className="flex-1 text-title font-[680]">{r.title}</p>
        <p className="text-body text-muted">
          {r.every}, {dueWord(r.dueDays)}. {r.doneOn === null ? "Never recorded" : `Last ${r.doneOn}, ${r.doneBy}`}
        </p>
      </header>
      {r.energies.map((e) => (
        <p key={e.title} className="mt-2.5 border-l-[5px] border-ink bg-card px-3 py-2 text-lead">
          <b className="font-[680]">{e.title}:</b> {e.act}
        </p>
      ))}
      {r.cautions.map((c) => (
        <p key={c} className="mt-2.5 border-l-[5px] border-watch bg-card px-3 py-2 text-lead font-[620]">
          {c}
        </p>
      ))}
      <h2 className="pt-4 pb-2 text-head leading-8 font-[680]">{r.say}</h2>
      <ul className="border-t border-line">
        {r.checks.map((c) => (
          <li key={c.id} className="flex min-h-14 flex-wrap items-center gap-x-4 gap-y-1 border-b border-line py-1.5">
            <label htmlFor={c.id} className="min-w-[260px] flex-1 text-lead leading-5 font-[600]">
              {c.ask}
              <span className="block text-small font-[500] text-muted">
                {[bounds(c), c.last !== null && `last ${quantity(c.last, c.unit, 3)}`].filter(Boolean).join("; ")}
              </span>
            </label>
            {c.kind === "number" ? (
              <span className="flex items-center gap-2">
                <NumberInput
                  id={c.id}
                  className="w-[130px] text-title"
                  typed={typed[c.id] ?? ""}
                  onType={(t) => put(c.id, t)}
                  invalid={of(c.id) !== undefined || outside(c, typed[c.id])}
                />
                <span className="m w-16 text-body">{unitWord(c.unit)}</span>
              </span>
            ) : (
              <button
                id={c.id}
                type="button"
                aria-pressed={Boolean(typed[c.id])}
                className={`press h-12 min-w-[150px] ${typed[c.id] ? "go" : "call"}`}
                onClick={() => put(c.id, typed[c.id] ? "" : "yes")}
              >
                {typed[c.id] ? "Confirmed" : "Confirm"}
              </button>
            )}
            {outside(c, typed[c.id]) && (
              <p className="w-full text-body font-[640] text-renew">
                Outside its limits: say in the note what is done about it.
              </p>
            )}
            {of(c.id) && <Sentence>{of(c.id)}</Sentence>}
          </li>
        ))}
      </ul>
      <label className="block pt-3 text-body text-soft">
        What was seen, or why a check is left
        <textarea
          className="field mt-1 block min-h-16 w-full text-lead text-ink"
          value={typed.note ?? ""}
          onChange={(e) => put("note", e.target.value)}
        />
        <Room of="RoundRequest.note" typed={typed.note ?? ""} />
      </label>
      {done.error && faults.length === 0 && <Sentence>{done.error.message}</Sentence>}
      <button
        type="button"
        className="press go mt-3 h-[58px] w-full px-4 text-title"
        disabled={!work.may || done.isPending}
        onClick={() => done.mutate()}
      >
        {work.why || "Round done"}
      </button>
    </main>
  );
}

type Asked = RoundView["checks"][number];

function bounds(c: Asked): string {
  const both = limitWords(c, 3, c.unit).join(", ");
  return both && `${both} ${unitWord(c.unit)}`;
}

function outside(c: Asked, typed: string | undefined): boolean {
  const value = typedInRecords(typed ?? "", c.unit);
  if (value === null) return false;
  return (c.min !== null && value < c.min) || (c.max !== null && value > c.max);
}
