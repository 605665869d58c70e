import { Link } from "react-router";

/** Hour and stroke counters of the whole floor, as they come from whoever reads them. */
export function Counters() {
  return (
    <section
      aria-label="Counters"
      className="flex flex-wrap items-center gap-x-4 border-b border-line px-5 py-2 text-body"
    >
      <b className="font-[640]">Hours and strokes</b>
      <span className="flex-1 text-body text-soft">
        As a table with any headings. What is known already is left out, a counter set back counts on.
      </span>
      <Link className="press inline-flex items-center px-4" to="/setup/counters?bring">
        Bring in
      </Link>
    </section>
  );
}
