import type {
  ChoiceQuestion,
  CounterReport,
  DiaryView,
  DutyForm,
  FindingRequest,
  FindingView,
  InsightView,
  FluidSheet,
  GaugeView,
  ImportReport,
  LibraryView,
  OwnResistance,
  PairView,
  BenchView,
  LogLine,
  Rail,
  ChooserView,
  Fault,
  FloorView,
  Person,
  WaysView,
  PumpView,
  RateAnswer,
  SymptomQuestion,
  ComparisonView,
  HistoryReport,
  KnownField,
  ImportRequest,
  LifeQuestion,
  LifeView,
  KeepRequest,
  LotRequest,
  ReceivedRequest,
  StoresView,
  SideQuestion,
  SymptomsView,
  WrenchChoice,
  Running,
  ActRequest,
  Draft,
  Imported,
  Listed,
  Revision,
} from "./types";

/** The server answered, and said no. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly faults: Fault[],
    readonly now: BenchView | null,
  ) {
    super(message);
  }
}

/** The server did not answer. */
export class Away extends Error {}

const GATEWAY_FAILURES = new Set([502, 503, 504]);

async function answered(path: string, init?: RequestInit): Promise<Response> {
  let response: Response;
  try {
    response = await fetch(`/api/v1${path}`, init);
  } catch {
    throw new Away("The server does not answer.");
  }
  if (response.ok) return response;
  if (GATEWAY_FAILURES.has(response.status)) throw new Away("The server does not answer.");
  const problem = (await response.json().catch(() => ({}))) as {
    detail?: string;
    errors?: Fault[];
    now?: BenchView;
  };
  throw new Refused(
    response.status,
    problem.detail ?? `The server answered ${response.status}.`,
    problem.errors ?? [],
    problem.now ?? null,
  );
}

const ask = async <T>(path: string, init?: RequestInit): Promise<T> => (await (await answered(path, init)).json()) as T;

const YAML = { "content-type": "application/yaml" };

const post = <T>(path: string, body: unknown): Promise<T> =>
  ask<T>(path, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(body),
  });

const at = encodeURIComponent;

export const api = {
  floor: () => ask<FloorView>("/floor"),
  people: () => ask<Person[]>("/people"),
  pump: (tag: string) => ask<PumpView>(`/pumps/${at(tag)}`),
  wetEnds: (tag: string) => ask<ChooserView>(`/pumps/${at(tag)}/wet-ends`),
  choose: (question: ChoiceQuestion) => post<ChooserView>("/wet-ends/choose", question),
  choiceSheet: async (question: ChoiceQuestion): Promise<Blob> => {
    const response = await answered("/wet-ends/choice.pdf", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify(question),
    });
    return response.blob();
  },
  exchange: (tag: string, other: string, because: string, who: string) =>
    post<PumpView>(`/pumps/${at(tag)}/exchange`, { with: other, because, who }),
  changeDuty: (tag: string, duty: DutyForm, who: string) =>
    ask<ChooserView>(`/pumps/${at(tag)}/duty`, {
      method: "PUT",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ duty, who }),
    }),
  materials: () => ask<LibraryView>("/materials"),
  fluid: (code: string) => ask<FluidSheet>(`/materials/fluids/${at(code)}`),
  pair: (fluid: string, material: string) =>
    ask<PairView>(`/materials/pairs?${new URLSearchParams({ fluid, material })}`),
  find: (finding: FindingRequest) => post<PairView>("/materials/findings", finding),
  writeOwn: (row: OwnResistance, who: string) => post<PairView>("/materials/own", { row, who }),
  endOwn: (table: string, id: number, who: string) => post<unknown>(`/materials/tables/${table}/ended`, { id, who }),
  tableUrl: (table: string, own: boolean) => `/api/v1/materials/tables/${table}?own=${own}`,
  bringTable: (table: string, csv: string, who: string, dryRun: boolean) =>
    ask<ImportReport>(`/materials/tables/${table}?${new URLSearchParams({ who, dryRun: String(dryRun) })}`, {
      method: "POST",
      headers: { "content-type": "text/csv" },
      body: csv,
    }),
  bringCounters: (csv: string, who: string, dryRun: boolean) =>
    ask<CounterReport>(`/counters?${new URLSearchParams({ who, dryRun: String(dryRun) })}`, {
      method: "POST",
      headers: { "content-type": "text/csv" },
      body: csv,
    }),
  insights: () => ask<InsightView[]>("/life/finds"),
  life: (question: LifeQuestion) => post<LifeView>("/life", question),
  keep: (pumps: string[], way: string, everyHours: number | null, because: string, who: string) =>
    post<unknown>("/life/policy", { pumps, way, everyHours, because, who }),
  chooseMode: async (role: string, material: string, duty: string, shape: number, who: string): Promise<void> => {
    await answered("/life/mode", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: JSON.stringify({ role, material, duty, shape, who }),
    });
  },
  compare: (first: SideQuestion, second: SideQuestion) => post<ComparisonView>("/life/compare", { first, second }),
  stores: () => ask<StoresView>("/stores"),
  shelfAct: (act: string, request: LotRequest) => post<StoresView>(`/stores/acts/${act}`, request),
  receiveLot: (request: ReceivedRequest) => post<StoresView>("/stores/lots", request),
  releaseHeld: (id: number, who: string) =>
    ask<StoresView>(`/stores/reservations/${id}?${new URLSearchParams({ who })}`, { method: "DELETE" }),
  serviceLevel: (level: number, who: string) =>
    ask<StoresView>(`/stores/level?${new URLSearchParams({ level: String(level), who })}`, { method: "PUT" }),
  keepPart: (request: KeepRequest) => post<{ id: string }>("/stores/kept", request),
  scrapKept: (id: string, who: string) =>
    ask<StoresView>(`/stores/kept/${at(id)}?${new URLSearchParams({ who })}`, { method: "DELETE" }),
  diary: () => ask<DiaryView>("/diary"),
  planDiary: (who: string) => post<DiaryView>(`/diary/plan?${new URLSearchParams({ who })}`, {}),
  pin: (pump: string, at: { day: number; minute: number; person: string } | null, who: string) =>
    post<DiaryView>("/diary/pin", { pump, ...(at ?? {}), who }),
  historyFields: () => ask<KnownField[]>("/history/fields"),
  restore: async (everything: Blob): Promise<void> => {
    await answered("/everything.json", {
      method: "POST",
      headers: { "content-type": "application/json" },
      body: everything,
    });
  },
  bringHistory: (request: ImportRequest) => post<HistoryReport>("/history/import", request),
  symptoms: (tag: string, told: SymptomQuestion) => post<SymptomsView>(`/pumps/${at(tag)}/symptoms`, told),
  finding: (id: number, part: string, signs: string[]) => post<FindingView>(`/rebuilds/${id}/finding`, { part, signs }),
  gauges: (unit = "", measure = "") => ask<GaugeView[]>(`/gauges?${new URLSearchParams({ unit, measure })}`),
  pretend: (gauge: string, condition: string) =>
    ask<GaugeView>(`/gauges/${at(gauge)}/stand-in?${new URLSearchParams({ condition })}`, { method: "PUT" }),
  gaugeStream: (gauge: string, rebuild: number, pump: string, subject: string, measure: string) =>
    `/api/v1/gauges/${at(gauge)}/stream?${new URLSearchParams({ rebuild: String(rebuild), pump, subject, measure })}`,
  running: () => ask<Running[]>("/rebuilds"),
  bench: (id: string) => ask<BenchView>(`/rebuilds/${at(id)}`),
  drawing: (id: string) => ask<Rail[]>(`/rebuilds/${at(id)}/drawing`),
  log: (id: number) => ask<LogLine[]>(`/rebuilds/${id}/log`),
  open: (tag: string, who: string, reason: string) => post<BenchView>(`/pumps/${at(tag)}/rebuilds`, { who, reason }),
  act: (id: string, act: ActRequest) => post<BenchView>(`/rebuilds/${at(id)}/acts`, act),
  ways: (id: number, items: string[]) => post<WaysView>(`/rebuilds/${id}/ways`, { items }),
  rate: (role: string, chooser: ChooserView) =>
    post<RateAnswer>("/compute/wet-end/rate", {
      role,
      exposures: chooser.duty.exposures.map(({ fluid, concentrationPct, temperatureC, share }) => ({
        fluid,
        concentrationPct,
        temperatureC,
        share,
      })),
      abrasion: chooser.duty.abrasion,
      suctionLiftM: chooser.duty.suctionLiftM,
    }),
  wrench: (targetNm: number, typed: { handleMm: string; adapterMm: string; angleDeg: string }) =>
    ask<WrenchChoice>(`/wrenches/choice?${new URLSearchParams({ targetNm: String(targetNm), ...typed })}`),
  sheets: () => ask<Listed[]>("/sheets"),
  sheetSource: async (id: string, revision?: number): Promise<string> => {
    const of = revision === undefined ? "" : `/revisions/${revision}`;
    const response = await answered(`/sheets/${at(id)}${of}`);
    return response.text();
  },
  sheetSchema: () => ask<object>("/sheet-schema"),
  revisions: (id: string) => ask<Revision[]>(`/sheets/${at(id)}/revisions`),
  draftSheet: (yaml: string) => ask<Draft>("/sheets/draft", { method: "POST", headers: YAML, body: yaml }),
  storeSheet: (yaml: string) =>
    ask<{ id: string; revision: number }>("/sheets", { method: "POST", headers: YAML, body: yaml }),
  importSheets: (zip: Blob) =>
    ask<Imported[]>("/sheets.zip", { method: "POST", headers: { "content-type": "application/zip" }, body: zip }),
  clipboardUrl: (id: number) => `/api/v1/rebuilds/${id}/clipboard.pdf`,
  recordUrl: (id: number) => `/api/v1/rebuilds/${id}/record.pdf`,
};
