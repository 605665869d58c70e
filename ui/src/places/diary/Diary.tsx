import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../api/client";
import type { DiaryView } from "../../api/types";
import { Failed, Loading, Sentence } from "../../parts/States";

import { JobAside } from "./JobAside";
import { Wall } from "./Wall";
import { useMay } from "../../parts/useMay";
import { money } from "../../text/shop";

/** Six weeks of work on one wall: who rebuilds what when, and why then. */
export default function Diary() {
  const diary = useQuery({ queryKey: ["diary"], queryFn: api.diary });
  if (diary.data) return <Shown diary={diary.data} />;
  if (diary.error) return <Failed error={diary.error} what="the diary" />;
  return <Loading what="the diary" />;
}

export interface Put {
  pump: string;
  at: { day: number; minute: number; person: string } | null;
}

function Shown({ diary }: { diary: DiaryView }) {
  const work = useMay("work");
  const cache = useQueryClient();
  const [chosen, setChosen] = useState("");
  const onSuccess = async (now: DiaryView) => {
    cache.setQueryData(["diary"], now);
    await cache.invalidateQueries({ queryKey: ["floor"] });
  };
  const plan = useMutation({ mutationFn: () => api.planDiary(), onSuccess });
  const pin = useMutation({ mutationFn: (p: Put) => api.pin(p.pump, p.at), onSuccess });
  const busy = plan.isPending || pin.isPending;
  const error = pin.error ?? plan.error;
  const entry = diary.entries.find((e) => e.pump === chosen);
  return (
    <main className="grid grid-cols-[minmax(0,1fr)_356px] max-[1080px]:grid-cols-1">
      <div className="min-w-0 pb-8">
        <div className="flex min-h-14 flex-wrap items-center gap-x-4 gap-y-1 border-b border-ink px-5 py-1 text-body">
          <h1 className="sr-only">Diary</h1>
          <span>
            <b className="font-[700]">{diary.entries.length} jobs</b> in six weeks
            {diary.planned && `, placed ${diary.planned}`}
            {diary.entries.length > 0 &&
              `; failing while waiting ${money(diary.failing)}, wasted ${money(diary.wasted)} expected`}
            {diary.waiting > 0 && `; ${diary.waiting} not placed`}.
          </span>
          <span className="ml-auto flex items-center gap-2">
            <Link className="press flex items-center px-3 text-body" to="/diary/year">
              The year ahead
            </Link>
            <a className="press flex items-center px-3 text-body" href="/api/v1/diary.ics" download="diary.ics">
              Calendar file
            </a>
            <button
              type="button"
              className="press go px-5"
              disabled={!work.may || busy}
              title={work.why}
              onClick={() => {
                pin.reset();
                plan.mutate();
              }}
            >
              {busy ? "Placing" : "Plan the work"}
            </button>
          </span>
        </div>
        {busy && (
          <p role="status" className="waiting px-5 py-2 text-body text-soft">
            Placing the jobs around what is pinned. It takes up to five seconds.
          </p>
        )}
        {error && (
          <div className="px-5 py-1">
            <Sentence>{error.message}</Sentence>
          </div>
        )}
        <Wall
          diary={diary}
          chosen={chosen}
          choose={setChosen}
          put={(p) => {
            setChosen(p.pump);
            if (work.may) pin.mutate(p);
          }}
        />
      </div>
      <JobAside
        key={chosen}
        diary={diary}
        entry={entry}
        choose={setChosen}
        put={(p) => pin.mutate(p)}
        busy={busy || !work.may}
      />
    </main>
  );
}
