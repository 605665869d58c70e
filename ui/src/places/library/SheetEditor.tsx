import { linter, lintGutter, type Diagnostic } from "@codemirror/lint";
import { EditorState } from "@codemirror/state";
import { EditorView } from "@codemirror/view";
import { basicSetup } from "codemirror";
import { yamlSchema } from "codemirror-json-schema/yaml";
import { useEffect, useRef } from "react";
import type { Fault } from "../../api/types";

interface Props {
  text: string;
  schema: object;
  readOnly: boolean;
  onChange: (text: string) => void;
  /** Asks the server what is wrong with the text. */
  check: (text: string) => Promise<(Fault & { line: number })[]>;
}

/** Colours of the editor follow the theme of the moment through its variables. */
const look = EditorView.theme({
  "&": { height: "100%", fontSize: "13px", backgroundColor: "var(--card)", color: "var(--ink)" },
  ".cm-content": { fontFamily: "var(--font-mono)", caretColor: "var(--ink)" },
  ".cm-scroller": { fontFamily: "var(--font-mono)", lineHeight: "1.45" },
  ".cm-gutters": { backgroundColor: "var(--paper)", color: "var(--muted)", border: "none" },
  ".cm-activeLine, .cm-activeLineGutter": { backgroundColor: "var(--wash)" },
  "&.cm-focused .cm-selectionBackground, .cm-selectionBackground": { backgroundColor: "var(--line2) !important" },
  ".cm-cursor": { borderLeftColor: "var(--ink)" },
  ".cm-tooltip": { backgroundColor: "var(--card)", border: "1.5px solid var(--ink)", color: "var(--ink)" },
  ".cm-tooltip-autocomplete ul li[aria-selected]": { backgroundColor: "var(--wash)", color: "var(--ink)" },
  ".cm-panels": { backgroundColor: "var(--paper)", color: "var(--ink)" },
  ".ͼb, .ͼl, .ͼi": { color: "var(--accent)" },
  ".ͼe, .ͼd, .ͼm, .ͼc": { color: "var(--soft)" },
});

/** The text of a sheet: completion and hints from the schema, faults from the reader itself. */
export default function SheetEditor({ text, schema, readOnly, onChange, check }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const start = useRef({ text, onChange, check });
  useEffect(() => {
    start.current = { text, onChange, check };
  });
  useEffect(() => {
    if (!box.current) return;
    const faults = linter(
      async (view): Promise<Diagnostic[]> => {
        const found = await start.current.check(view.state.doc.toString());
        return found.map((f) => {
          const line = view.state.doc.line(Math.min(Math.max(1, f.line), view.state.doc.lines));
          return {
            from: line.from,
            to: line.to,
            severity: "error",
            message: `${f.path ? `${f.path}: ` : ""}${f.message}`,
          };
        });
      },
      { delay: 400 },
    );
    // In a tree of its own the editor adopts its styles as sheets; in the page it would write them
    // into it, which the page does not let anybody do.
    const root = box.current.shadowRoot ?? box.current.attachShadow({ mode: "open" });
    const view = new EditorView({
      parent: root,
      root,
      state: EditorState.create({
        doc: start.current.text,
        extensions: [
          basicSetup,
          yamlSchema(schema),
          faults,
          lintGutter(),
          look,
          EditorState.readOnly.of(readOnly),
          EditorView.contentAttributes.of({ "aria-label": "The sheet as YAML" }),
          EditorView.updateListener.of((u) => {
            if (u.docChanged) start.current.onChange(u.state.doc.toString());
          }),
        ],
      }),
    });
    view.scrollDOM.tabIndex = 0; // scrolled from the keyboard as well
    return () => view.destroy();
  }, [schema, readOnly]);
  return <div ref={box} className="h-full min-h-[420px] overflow-hidden" />;
}
