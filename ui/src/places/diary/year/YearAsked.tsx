import { Link } from "react-router";
import type { YearQuestion, YearView } from "../../../api/types";
import { Choice } from "../../../parts/Choice";
import { day, thousands } from "../../../text/numbers";

type Policy = NonNullable<YearQuestion["left"]>;
type Shelf = NonNullable<YearQuestion["shelf"]>;
type People = NonNullable<YearQuestion["people"]>;

const POLICIES: Record<Policy, string> = {
  "as-today": "as today",
  "as-advised": "as advised",
  "at-an-age": "each at its best age",
  "until-they-fail": "run to failure",
};

const SHELVES: Record<Shelf, string> = {
  "as-it-is": "shelf as it is",
  "as-advised": "shelf as advised",
  "one-more": "one more of each kit",
};

const PEOPLE: Record<People, string> = {
  "as-they-are": "people as they are",
  "one-more": "one person more",
  "one-less": "one person less",
};

const TIMES = ["200", "2000"] as const;

interface Props {
  question: YearQuestion;
  ask: (question: YearQuestion) => void;
  year: YearView | null;
}

/** What is played, as a sentence whose words can be chosen. */
export function YearAsked({ question, ask, year }: Props) {
  return (
    <div className="flex min-h-12 flex-wrap items-center gap-x-1 border-b border-line px-5 text-body">
      <Link to="/diary" className="pr-2 underline">
        Diary
      </Link>
      <span>The year from {year ? day(year.from) : "today"},</span>
      <Of
        label="First"
        of={POLICIES}
        usual="as-today"
        value={question.left}
        set={(left) => ask({ ...question, left })}
      />
      <span>beside</span>
      <Of
        label="Second"
        of={POLICIES}
        usual="as-advised"
        value={question.right}
        set={(right) => ask({ ...question, right })}
        then=","
      />
      <Of
        label="Shelf"
        of={SHELVES}
        usual="as-it-is"
        value={question.shelf}
        set={(shelf) => ask({ ...question, shelf })}
        then=","
      />
      <Of
        label="People"
        of={PEOPLE}
        usual="as-they-are"
        value={question.people}
        set={(people) => ask({ ...question, people })}
      />
      <span className="ml-auto flex items-center">
        played
        <Choice
          label="Times"
          value={TIMES.find((n) => Number(n) === question.years) ?? ""}
          onChange={(n) => {
            ask({ ...question, years: n ? Number(n) : 1000 });
          }}
          all={`${thousands(1000)} times`}
          of={TIMES}
          say={(n) => `${thousands(Number(n))} times`}
        />
      </span>
    </div>
  );
}

interface OfProps<T extends string> {
  label: string;
  of: Record<T, string>;
  usual: T;
  value: T | undefined;
  set: (value: T) => void;
  then?: string;
}

function Of<T extends string>({ label, of, usual, value, set, then }: OfProps<T>) {
  const others = (Object.keys(of) as T[]).filter((k) => k !== usual);
  return (
    <Choice
      label={label}
      value={value === undefined || value === usual ? "" : value}
      onChange={(v) => set(v === "" ? usual : v)}
      all={of[usual]}
      of={others}
      say={(v) => of[v]}
      {...(then ? { then } : {})}
    />
  );
}
