/** Under which keys a reading is held that is typed and not kept yet. */
export function readingDraft(rebuild: number, part: string, measure: string): { typed: string; gauge: string } {
  const typed = `${rebuild}.inspect.${part}.${measure}`;
  return { typed, gauge: `${typed}.gauge` };
}
