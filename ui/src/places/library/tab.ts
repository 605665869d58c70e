/** How one of a few views stands that are shown in turn. */
export const tab = (on: boolean): string =>
  `min-h-12 border-b-[3px] px-0.5 text-body font-[640] ${on ? "border-accent text-ink" : "border-transparent text-muted"}`;
