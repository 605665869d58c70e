/** Where the columns of a pump's strip begin, px. */
export const COLUMNS = {
  mark: 26,
  tag: 42,
  kind: 108,
  duty: 150,
  wetEnd: 308,
  hours: 408,
  strip: 416,
};
