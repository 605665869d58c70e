import { useQuery } from "@tanstack/react-query";
import { useEffect, type ReactNode } from "react";
import { useLocation } from "react-router";
import { Away, api } from "../../api/client";
import { heard, uncover, useStanding } from "../../api/session";
import { Loading } from "../../parts/States";
import { FirstLead } from "./FirstLead";
import { lastHeard, remember } from "./lastHeard";
import { OwnPin } from "./OwnPin";
import { SignIn } from "./SignIn";
import { Trust } from "./Trust";
import { useLock } from "./useLock";

/** What an address shows, for whoever stands before a locked device. */
function waitingPlace(path: string): string {
  const [, place, what] = path.split("/");
  if (!place) return "the floor";
  if (place === "bench" && what) return `the bench, rebuild ${what}`;
  return what ? `${place.replace("-", " ")}, ${decodeURIComponent(what)}` : place.replace("-", " ");
}

/**
 * Everything behind it is for who is signed in. A locked device keeps what it showed, half-typed
 * readings too: it is covered, out of reach, and there again when somebody has signed in.
 */
export function Gate({ children }: { children: ReactNode }) {
  const { session, last, locked } = useStanding();
  const path = useLocation().pathname;
  const asked = useQuery({ queryKey: ["session"], queryFn: api.session, staleTime: Infinity, refetchOnMount: false });
  useEffect(() => {
    if (asked.data) heard(asked.data);
  }, [asked.data]);
  useEffect(() => {
    if (session) remember(session);
  }, [session]);
  // A device that is opened where the server is not belongs to whoever stood at it last.
  const alone = asked.error instanceof Away && !session;
  useEffect(() => {
    const before = alone ? lastHeard() : null;
    if (before) heard(before);
  }, [alone]);
  useLock(session);
  if (path === "/trust") return <Trust />;
  if (!session) return <Loading what={asked.isError ? "the server, which does not answer" : "who stands here"} />;
  const opened = last !== "";
  const covered = locked || !session.initials || session.ownPinDue;
  return (
    <>
      {opened && (
        <div
          key={JSON.stringify(session.shownIn)}
          inert={covered}
          className={covered ? "hidden" : "flex min-h-screen flex-col"}
        >
          {children}
        </div>
      )}
      {covered && (
        <main className="flex min-h-screen flex-col bg-paper">
          <header className="flex h-12 items-center border-b-[1.5px] border-ink bg-card px-5">
            <span className="word text-lead">Isokinon</span>
            <span className="ml-5 border-l border-line pl-5 text-lead font-[640]">{session.shop}</span>
            {opened && session.initials && !session.ownPinDue && (
              <button type="button" className="press ml-auto" onClick={uncover}>
                {session.initials} goes on
              </button>
            )}
          </header>
          {session.firstLeadWanted ? (
            <FirstLead />
          ) : session.initials && session.ownPinDue ? (
            <OwnPin due who={session.initials} done={() => undefined} />
          ) : (
            <SignIn
              session={session}
              waits={opened ? waitingPlace(path) : ""}
              job={opened ? (/^\/bench\/(\d+)/.exec(path)?.[1] ?? "") : ""}
            />
          )}
        </main>
      )}
    </>
  );
}
