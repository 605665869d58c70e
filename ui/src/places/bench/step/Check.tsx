import { useState } from "react";
import { NumberInput, ReadingField } from "../../../parts/ReadingField";
import { useStanding } from "../../../api/session";
import type { CheckView } from "../../../api/types";
import { Mark } from "../../../parts/Mark";
import { limitWords } from "../../../text/limits";
import { rounded } from "../../../text/numbers";
import { useDraft } from "../../../parts/useDraft";
import type { StageProps } from "../frame/stage";
import { worksNot } from "../frame/worksNot";
import { faultAt } from "../../../parts/faults";
import { TextInput } from "../../../parts/TextInput";
import { quantity, typedUnit, unitWord } from "../../../text/shop";

/** One question of the step: a confirmation to press, or a number to read. */
export function Check({
  check: c,
  number,
  step,
  link,
  view,
}: { check: CheckView; number: number; step: string } & StageProps) {
  const [leaving, setLeaving] = useState(false);
  const who = useStanding().session?.initials;
  const said = c.answered ? `${c.value === null ? "confirmed" : quantity(c.value, c.unit, 2)}, ${c.by}` : "";
  const second = c.passed && c.second && !c.secondBy;
  return (
    <li className="flex min-h-[56px] flex-wrap items-center gap-x-4 border-b border-line2 py-1.5">
      {c.about === "step" || c.answered ? (
        <Mark state={c.answered ? (c.passed ? "sound" : "renew") : "unknown"} size={20} />
      ) : (
        <AboutMark about={c.about} />
      )}
      <span className="min-w-0 flex-1 text-lead leading-[21px] font-[600]">
        {c.ask}
        {c.hold && <span className="ml-2 text-small font-[640] whitespace-nowrap text-accent">hold point</span>}
        {c.second && <span className="ml-2 text-small font-[640] whitespace-nowrap text-accent">two people</span>}
        {c.note && <span className="block text-small font-[560] text-soft">{c.note}</span>}
        {limits(c) && <span className="m block text-small text-muted">{limits(c)}</span>}
      </span>
      {c.left ? (
        <span className="max-w-[240px] text-body text-muted">left: {c.left}</span>
      ) : c.kind === "number" && (!c.answered || !c.passed) ? (
        <NumberCheck check={c} step={step} link={link} view={view} />
      ) : second ? (
        <button
          type="button"
          className="press call"
          disabled={link.busy}
          onClick={() =>
            who === c.by
              ? link.sign({
                  act: { kind: "SECONDED", step, check: c.id },
                  what: [c.ask, said],
                  mayNot: (p) => (p.initials === c.by ? "answered it" : worksNot(p)),
                })
              : void link.act({ kind: "SECONDED", step, check: c.id })
          }
        >
          {who === c.by ? `${said}. A second person signs` : `${said}. I looked as well`}
        </button>
      ) : c.answered ? (
        <span className="text-body text-muted">
          {said}
          {c.secondBy && ` and ${c.secondBy}`}
        </span>
      ) : (
        <button
          type="button"
          className="press call min-w-[132px]"
          disabled={link.busy}
          onClick={() => void link.act({ kind: "CHECKED", step, check: c.id })}
          aria-label={`Confirm: ${c.ask}`}
        >
          Confirm <span className="m pl-1 text-small font-medium text-muted">alt {number}</span>
        </button>
      )}
      {!c.hold && !c.settled && (
        <button
          type="button"
          className="min-h-11 px-1 text-small text-muted underline"
          aria-expanded={leaving}
          aria-label={`Leave with a reason: ${c.ask}`}
          onClick={() => setLeaving(!leaving)}
        >
          leave
        </button>
      )}
      {leaving && !c.settled && <Leave check={c} step={step} link={link} />}
    </li>
  );
}

/** A check that is no hold point is left: never without a reason. */
function Leave({ check: c, step, link }: { check: CheckView; step: string; link: StageProps["link"] }) {
  const [why, setWhy] = useState("");
  return (
    <form
      className="flex w-full items-center gap-2 pl-9"
      onSubmit={(e) => {
        e.preventDefault();
        void link.act({ kind: "CHECK_LEFT", step, check: c.id, because: why });
      }}
    >
      <TextInput
        of="CheckLeft.because"
        className="field min-w-0 flex-1"
        aria-label={`Why it is left: ${c.ask}`}
        placeholder="Why it is left"
        typed={why}
        onType={setWhy}
      />
      <button type="submit" className="press" disabled={link.busy || !why.trim()}>
        Leave it
      </button>
    </form>
  );
}

/** A mark across a joint, or the drive under power: drawn, so that it is seen before it is read. */
function AboutMark({ about }: { about: string }) {
  return (
    <svg width="22" height="22" viewBox="0 0 22 22" fill="none" stroke="var(--ink)" strokeWidth="1.6" aria-hidden>
      {about === "mark" ? (
        <>
          <path d="M2,11H20" />
          <path d="M11,3V19" stroke="var(--accent)" strokeWidth="3.4" />
        </>
      ) : (
        <>
          <circle cx="11" cy="11" r="9" />
          <path d="M12.5,4L7,12.5H11L9.5,18L15,9.5H11Z" fill="var(--ink)" stroke="none" />
        </>
      )}
    </svg>
  );
}

function NumberCheck({ check: c, step, link, view }: { check: CheckView; step: string } & StageProps) {
  const [typed, setTyped, clear] = useDraft(`${view.id}.${step}.${c.id}`);
  const [right, setRight, clearRight] = useDraft(`${view.id}.${step}.${c.id}.right`);
  const fault = faultAt(link.faults, "value", c.id);
  const keep = async () => {
    const pair = c.pair ? { right: { typed: right, unit: typedUnit(c.unit) } } : {};
    if (await link.act({ kind: "CHECKED", step, check: c.id, reading: { typed, unit: typedUnit(c.unit) }, ...pair })) {
      clear();
      clearRight();
    }
  };
  return (
    <ReadingField
      label={`${c.ask}, ${c.pair ? "left, " : ""}${unitWord(c.unit)}`}
      placeholder={c.pair ? "left" : ""}
      className="w-[120px]"
      typed={typed}
      onType={setTyped}
      unit={c.unit}
      keep={() => void keep()}
      busy={link.busy || (c.pair && !right.trim())}
      fault={fault}
    >
      {c.pair && (
        <NumberInput
          label={`${c.ask}, right, ${unitWord(c.unit)}`}
          placeholder="right"
          className="-ml-px w-[120px]"
          typed={right}
          onType={setRight}
          invalid={fault !== undefined}
        />
      )}
    </ReadingField>
  );
}

function limits(c: CheckView): string {
  const parts = limitWords(c, 2, c.unit);
  if (c.markReading !== null && c.within !== null)
    parts.push(`as marked, ${rounded(c.markReading, 2)} within ${rounded(c.within, 2)}`);
  return parts.length > 0 ? `${parts.join(", ")} ${unitWord(c.unit)}` : "";
}
