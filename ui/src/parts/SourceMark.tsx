import type { Source } from "../api/types";
import { MarkAt } from "./Mark";

/** Where a value of a sheet comes from, in few words. */
function sourceWords(source: Source): string {
  switch (source.kind) {
    case "starting":
      return "starting value";
    case "table":
      return "table value";
    case "manual":
      return `manual p. ${source.page}`;
  }
}

/**
 * Who says a value of a sheet: a page for the maker's manual, a ruled field for a table of sizes, a
 * dotted ring for a starting value that nobody has confirmed.
 */
export function SourceMark({ source }: { source: Source }) {
  return (
    <span className="inline-flex items-center gap-1.5 text-small whitespace-nowrap text-muted">
      <svg width={14} height={16} viewBox="0 0 14 16" aria-hidden="true" className="shrink-0">
        <Shape kind={source.kind} />
      </svg>
      {sourceWords(source)}
    </span>
  );
}

function Shape({ kind }: { kind: Source["kind"] }) {
  switch (kind) {
    case "manual":
      return (
        <path d="M1.5 1H9l3.5 3.5V15h-11zM9 1v3.5h3.5M4 8h6M4 11h6" fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      );
    case "table":
      return <path d="M1 3h12v10H1zM1 6.3h12M1 9.7h12M5 3v10" fill="none" stroke="var(--soft)" strokeWidth={1.2} />;
    case "starting":
      return <MarkAt state="unknown" x={7} y={8} />;
  }
}
