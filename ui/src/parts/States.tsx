import type { ReactNode } from "react";
import { Link, useLocation } from "react-router";
import { useAway } from "../api/away";
import { Away, Refused } from "../api/client";
import { Mark } from "./Mark";

/** A page with one thing to say: nothing here yet, nothing at this address, cannot be had now. */
function Word({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto flex max-w-[720px] flex-col gap-4 px-5 py-20">
      <svg width="220" height="60" viewBox="0 0 220 60" aria-hidden>
        <path d="M0,30H220" stroke="var(--muted)" strokeWidth="1" strokeDasharray="22 4 4 4" />
        <rect
          x="86"
          y="8"
          width="48"
          height="44"
          fill="none"
          stroke="var(--ghost)"
          strokeWidth="1.2"
          strokeDasharray="9 2.5 1.5 2.5"
        />
      </svg>
      <h1 className="text-head leading-9 font-[680]">{title}</h1>
      <div className="text-lead text-soft">{children}</div>
    </main>
  );
}

export function Empty({ title, children }: { title: string; children: ReactNode }) {
  return <Word title={title}>{children}</Word>;
}

export function Lost() {
  return (
    <Word title="Nothing hangs on this peg">
      <p>The address names no pump, rebuild or place here.</p>
      <p className="pt-4">
        <Link className="press call inline-flex items-center" to="/">
          Back to the floor
        </Link>
      </p>
    </Word>
  );
}

export function Loading({ what }: { what: string }) {
  return (
    <p className="waiting px-5 py-10 text-lead text-soft" role="status">
      Fetching {what}
    </p>
  );
}

export function Failed({ error, what }: { error: Error; what: string }) {
  if (error instanceof Refused && error.status === 404) {
    return (
      <Word title={error.message}>
        <Link className="press call mt-2 inline-flex items-center" to="/">
          Back to the floor
        </Link>
      </Word>
    );
  }
  return (
    <Word title={error instanceof Away ? "The server does not answer" : `Cannot show ${what}`}>
      <p>
        {error instanceof Away
          ? "This page asks again by itself. What you typed is kept on this device."
          : error.message}
      </p>
    </Word>
  );
}

/** Over every place but the bench, which has words of its own: what is shown may be old. */
export function AwayNotice() {
  const away = useAway();
  const bench = useLocation().pathname.startsWith("/bench/");
  if (!away || bench) return null;
  return (
    <p role="status" className="border-b-[1.5px] border-ink bg-ink px-5 py-2.5 text-lead font-[640] text-card">
      The server does not answer. What stands here may be old; it is asked again by itself.
    </p>
  );
}

/** A sentence at the place it belongs to. */
export function Sentence({ children, id }: { children: ReactNode; id?: string }) {
  return (
    <p
      {...(id ? { id } : {})}
      role="alert"
      className="flex items-start gap-2 py-1 text-body leading-5 font-[620] text-renew"
    >
      <span className="pt-0.5">
        <Mark state="renew" size={16} />
      </span>
      <span className="min-w-0 break-words">{children}</span>
    </p>
  );
}
