/** Under this width of the floor, px, a row keeps its mark, its tag, its strip and its chance. */
const NARROW = 640;

interface Columns {
  mark: number;
  tag: number;
  strip: number;
  /** What stands between tag and strip where there is room for it. */
  between: { kind: number; duty: number; wetEnd: number; hours: number } | null;
}

const WIDE: Columns = {
  mark: 26,
  tag: 42,
  between: { kind: 108, duty: 150, wetEnd: 308, hours: 408 },
  strip: 416,
};
const PHONE: Columns = { mark: 22, tag: 36, between: null, strip: 108 };

/** Where the columns of a pump's row begin on a floor of this width, px. */
export function columnsOf(width: number): Columns {
  return width < NARROW ? PHONE : WIDE;
}
