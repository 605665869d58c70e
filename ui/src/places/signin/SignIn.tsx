import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useCallback, useState } from "react";
import { api } from "../../api/client";
import { heard, uncover, useStanding } from "../../api/session";
import type { Person, Session } from "../../api/types";
import { countdown } from "../../parts/Clock";
import { KeyPad, Typed } from "../../parts/KeyPad";
import { PersonTag } from "../../parts/PersonTag";
import { Sentence } from "../../parts/States";
import { useSettings } from "../../parts/settings";
import { usePinTry } from "./usePinTry";
import { TextInput } from "../../parts/TextInput";
import { dayLocale } from "../../text/shownIn";

const WaitingJob = lazy(() => import("./WaitingJob"));

const TIME = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });
const day = () => new Intl.DateTimeFormat(dayLocale(), { day: "numeric", month: "short" });

/** Where and when somebody was seen last, for a tag. */
function seen(p: Person): string[] {
  if (!p.hasPin) return ["no PIN yet:", "a lead sets one"];
  if (!p.lastAt) return ["not signed in yet"];
  const at = new Date(p.lastAt);
  const today = at.toDateString() === new Date().toDateString();
  return ["last here", `${today ? TIME.format(at) : day().format(at)}${p.lastDevice ? `, ${p.lastDevice}` : ""}`];
}

/** Who stands here: a tag to touch, then a few digits. What lies behind stays as it is. */
export function SignIn({ session, waits, job }: { session: Session; waits: string; job: string }) {
  const { last } = useStanding();
  const [chosen, setChosen] = useState(session.initials ?? last);
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const here = (people.data ?? []).filter((p) => !p.retired);
  const choose = here.find((p) => p.initials === chosen);
  return (
    <div className="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_420px] overflow-auto max-[1000px]:grid-cols-1">
      <section className="flex flex-col" aria-label="Who works here">
        <h1 className="px-5 pt-4 text-head leading-9 font-[680]">Who stands here?</h1>
        <div className="relative">
          <div className="absolute inset-x-0 top-[30px] h-[5px] bg-ink" aria-hidden />
          <div className="flex flex-wrap gap-[18px] px-5 pt-[6px] pb-4">
            {here.map((p) => (
              <PersonTag
                key={p.initials}
                person={p}
                chosen={p.initials === chosen}
                onChoose={() => {
                  setChosen(p.initials);
                  // the keys of a keyboard belong to the PIN from here on
                  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
                }}
                last={seen(p)}
              />
            ))}
          </div>
        </div>
        {waits && !job && (
          <p className="border-t border-ink px-5 py-3 text-lead">
            <b className="font-[700]">Waiting behind this: {waits}.</b>
          </p>
        )}
        {session.shownPins.length > 0 && (
          <p className="border-t border-line px-5 py-3 text-body text-soft">
            {session.shop} is made up, so its PINs stand here:{" "}
            {session.shownPins.map((p) => (
              <span key={p.initials} className="pr-3 whitespace-nowrap">
                <b className="text-ink">{p.initials}</b> <span className="m font-semibold text-ink">{p.pin}</span>
              </span>
            ))}
          </p>
        )}
        {waits && (
          <p className="px-5 py-2 text-body text-soft">
            Not you? Touch your own tag. What lies behind stays as it is, what is half typed too.
          </p>
        )}
        {job && (
          <Suspense>
            <WaitingJob id={job} />
          </Suspense>
        )}
      </section>
      <section
        className="flex min-h-[640px] flex-col border-l-[1.5px] border-ink bg-card px-5 pt-4 pb-3 max-[1000px]:border-t max-[1000px]:border-l-0"
        aria-label="PIN"
      >
        {choose ? (
          <Pin key={choose.initials} person={choose} here={session.initials === choose.initials} />
        ) : (
          <p className="flex-1 py-6 text-lead text-soft">Touch your tag, then type your PIN.</p>
        )}
        <Badge />
      </section>
    </div>
  );
}

function useSignIn(refused: (e: unknown) => void) {
  const { device } = useSettings();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (asked: { initials?: string; pin?: string; badge?: string }) =>
      api.signIn({ initials: "", pin: "", badge: "", device, ...asked }),
    onSuccess: (session) => {
      heard(session);
      void queries.invalidateQueries();
    },
    onError: refused,
  });
}

function Pin({ person: p, here }: { person: Person; here: boolean }) {
  const pin = usePinTry();
  const [phrase, setPhrase] = useState(false);
  const signIn = useSignIn(pin.refused);
  const { mutate } = signIn;
  const typed = pin.typed;
  const enter = useCallback(() => mutate({ initials: p.initials, pin: typed }), [mutate, p.initials, typed]);
  return (
    <>
      <div className="flex items-baseline justify-between border-b-[1.5px] border-ink pb-1.5">
        <h2 className="text-title font-[700] text-accent">{p.initials}, your PIN</h2>
        <button type="button" className="text-small text-muted underline" onClick={() => setPhrase(!phrase)}>
          {phrase ? "four to six digits" : "I have a pass phrase"}
        </button>
      </div>
      {phrase ? (
        <form
          className="flex flex-col gap-3 py-4"
          onSubmit={(e) => {
            e.preventDefault();
            enter();
          }}
        >
          <TextInput
            of="SignInQuestion.pin"
            className="field"
            type="password"
            autoFocus
            autoComplete="off"
            aria-label={`${p.initials}, your pass phrase`}
            typed={typed}
            onType={(words) => pin.type(words)}
          />
          <button type="submit" className="press go" disabled={!typed || pin.left > 0 || signIn.isPending}>
            {pin.left > 0 ? `Opens in ${countdown(pin.left)}` : "Sign in"}
          </button>
        </form>
      ) : (
        <div className="py-4">
          <Typed count={typed.length} />
        </div>
      )}
      <div className="min-h-[34px]">{pin.fault && <Sentence>{pin.fault}</Sentence>}</div>
      {!phrase && (
        <KeyPad
          typed={typed}
          onType={pin.type}
          shut={pin.left > 0 || signIn.isPending}
          enter={pin.left > 0 ? <span className="m">{countdown(pin.left)}</span> : "Sign in"}
          onEnter={enter}
        />
      )}
      {here && (
        <button type="button" className="under mt-2 text-body" onClick={uncover}>
          {p.initials} goes on
        </button>
      )}
    </>
  );
}

/** A reader types the code of a badge as a keyboard does, and ends it with Enter. */
function Badge() {
  const [code, setCode] = useState("");
  const [fault, setFault] = useState("");
  const signIn = useSignIn((e) => {
    setCode("");
    setFault(e instanceof Error ? e.message : "");
  });
  return (
    <form
      className="mt-3 border-t border-line pt-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (code) signIn.mutate({ badge: code });
      }}
    >
      <label className="flex items-center gap-3 text-body">
        <svg width="22" height="26" viewBox="0 0 22 26" fill="none" stroke="var(--ink)" strokeWidth="1.6" aria-hidden>
          <path d="M3,6H19V25H3ZM8,6V2H14V6M7,21H15M7,11V16M10,11V16M12,11V16M15,11V16" />
        </svg>
        Or hold your badge to the reader
        <TextInput
          of="SignInQuestion.badge"
          className="field min-w-0 flex-1"
          type="password"
          autoComplete="off"
          aria-label="Code of a badge"
          typed={code}
          onType={(words) => {
            setCode(words);
            setFault("");
          }}
        />
      </label>
      {fault && <Sentence>{fault}</Sentence>}
    </form>
  );
}
