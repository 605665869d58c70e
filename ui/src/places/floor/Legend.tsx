import { Due, Failure, Plan, Planned } from "../../drawing/eventMarks";

const ITEMS = [
  ["planned", 9, <Planned key="p" x={4.5} y={12} />],
  ["failure", 16, <Failure key="f" x={8} y={12} h={11} />],
  [
    "runs out",
    34,
    <g key="l" fill="none">
      <path d="M0,12C8,12 10,2 17,2C24,2 26,12 34,12C26,12 24,22 17,22C10,22 8,12 0,12Z" stroke="var(--ink)" />
      <path d="M9,7V17M12,4V20M15,2.5V21.5M18,2.5V21.5M21,3.5V20.5M24,6V18" stroke="var(--soft)" />
    </g>,
  ],
  ["30 days", 4, <path key="d" d="M2,1V23" stroke="var(--renew)" strokeWidth={1.4} strokeDasharray="2 3" />],
  [
    "due",
    12,
    <g key="u" transform="translate(6 17) scale(.8)">
      <Due x={0} y={0} />
    </g>,
  ],
  ["plan", 16, <Plan key="n" x={8} y={12} late={false} />],
] as const;

/** What the marks on the strips mean. */
export function Legend() {
  return (
    <ul className="ml-auto flex flex-wrap items-center gap-3 py-1 text-small text-soft" aria-label="Marks">
      {ITEMS.map(([name, width, mark]) => (
        <li key={name} className="flex items-center gap-1.5">
          <svg width={width} height={24} aria-hidden className="overflow-visible">
            {mark}
          </svg>
          {name}
        </li>
      ))}
    </ul>
  );
}
