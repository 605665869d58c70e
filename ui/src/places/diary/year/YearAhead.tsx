import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "../../../api/client";
import type { ChangeQuestion, YearQuestion, YearRunView, YearView } from "../../../api/types";
import { fullHeight, KitWaits } from "../../../drawing/year/KitWaits";
import { WeekHours } from "../../../drawing/year/WeekHours";
import { YearLoom } from "../../../drawing/year/YearLoom";
import { Failed, Sentence } from "../../../parts/States";
import { useMay } from "../../../parts/useMay";
import { useWidth } from "../../../parts/useWidth";
import { percent } from "../../../text/numbers";
import { Playing } from "./Playing";
import { YearAsked } from "./YearAsked";
import { YearAside } from "./YearAside";
import { YearWords } from "./YearWords";

const POLL_MS = 250;

/** The next twelve months, played many times from what is believed of the pumps. */
export default function YearAhead() {
  const work = useMay("work");
  const cache = useQueryClient();
  const [question, setQuestion] = useState<YearQuestion>({});
  const begun = useQuery({
    queryKey: ["year", question],
    queryFn: () => api.playYear(question),
    enabled: work.may,
    staleTime: Infinity,
    refetchOnWindowFocus: false,
  });
  const id = begun.data?.id ?? "";
  const run = useQuery({
    queryKey: ["year-run", id],
    queryFn: () => api.year(id),
    enabled: id !== "",
    placeholderData: keepPreviousData,
    refetchInterval: (q) => (q.state.data?.playing ? POLL_MS : false),
  });
  const now = (view: YearRunView) => cache.setQueryData(["year-run", id], view);
  const change = useMutation({ mutationFn: (c: ChangeQuestion) => api.changeYear(id, c), onSuccess: now });
  const stop = useMutation({ mutationFn: () => api.stopYear(id), onSuccess: now });
  const again = () => cache.invalidateQueries({ queryKey: ["year", question] });
  const error = begun.error ?? run.error;
  const shown = run.data;
  const year = shown?.year ?? null;
  return (
    <main>
      <YearAsked question={question} ask={setQuestion} year={year} />
      {!work.may && <Sentence>Playing a year ahead is for a technician or a lead.</Sentence>}
      {error && !year && <Failed error={error} what="the year" />}
      {change.error && <Sentence>{change.error.message}</Sentence>}
      {year ? (
        <Shown
          year={year}
          run={shown}
          play={(c) => change.mutate(c)}
          stop={() => stop.mutate()}
          busy={change.isPending}
        />
      ) : (
        work.may &&
        !error && (
          <div className="max-w-[620px] px-5 py-10">
            {shown?.problem ? (
              <>
                <Sentence>{shown.problem}</Sentence>
                <button type="button" className="press go mt-3 px-5" onClick={() => void again()}>
                  Play it again
                </button>
              </>
            ) : (
              <Playing run={shown ?? begun.data} stop={() => stop.mutate()} />
            )}
          </div>
        )
      )}
    </main>
  );
}

interface Props {
  year: YearView;
  run: YearRunView | undefined;
  play: (change: ChangeQuestion) => void;
  stop: () => void;
  busy: boolean;
}

const LEFT = 60;

function Shown({ year, run, play, stop, busy }: Props) {
  const [ref, width] = useWidth<HTMLDivElement>(890);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_388px] max-[1080px]:grid-cols-1">
      <div className="min-w-0 pt-2 pb-6" ref={ref}>
        <YearWords year={year} />
        <YearLoom year={year} width={width} />
        <div className="pt-5">
          <WeekHours year={year} left={LEFT} width={width} />
        </div>
        {year.kits.length > 0 && (
          <section aria-label="Kits" className="pt-3">
            <h2 className="px-5 pb-1 text-body font-[700]">A job waits for its kit</h2>
            <KitWaits year={year} left={LEFT} width={width} />
          </section>
        )}
        <p className="px-5 pt-2 text-small text-muted">
          {year.kits.length > 0
            ? `Chance by week: ${year.right.title.toLowerCase()} above the line, ${year.left.title.toLowerCase()} below; full height is ${percent(fullHeight(year))} in 100. `
            : "No kit ever keeps a job waiting. "}
          The rules are those of the{" "}
          <Link to="/diary" className="underline">
            diary
          </Link>{" "}
          and the{" "}
          <Link to="/stores" className="underline">
            shelf
          </Link>
          : kits with their lead times, pairs, lines, fixtures, shifts. {year.leaves}
        </p>
      </div>
      <YearAside year={year} run={run} play={play} stop={stop} busy={busy} />
    </div>
  );
}
