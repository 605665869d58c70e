import { answer, server } from "./transport";
import type {
  BringRequest,
  SetupTableId,
  ShopForm,
  ActRequest,
  ChangedPerson,
  ChoiceQuestion,
  ChooserView,
  DutyForm,
  FindingRequest,
  FirstLead,
  AwayStory,
  GaugeCondition,
  WorkbookRequest,
  KeepRequest,
  LifeQuestion,
  LotAct,
  LotRequest,
  NewPerson,
  OwnResistance,
  PhotographMark,
  PhotographOf,
  PolicyWay,
  ConsumableAct,
  ConsumableLotRequest,
  ConsumableReceivedRequest,
  ReceivedRequest,
  SideQuestion,
  SignInQuestion,
  RoundRequest,
  SymptomQuestion,
  TakenIn,
  UnitRequest,
  ChangeQuestion,
  YearQuestion,
} from "./types";

export { Away, Refused } from "./transport";

const CSV = { headers: { "content-type": "text/csv" } } as const;
const YAML = { headers: { "content-type": "application/yaml" } } as const;

/** Sends a body as it is: text, or a file. */
const raw = { bodySerializer: (body: unknown) => body as BodyInit };

const at = encodeURIComponent;

/** Where nothing answers for so long, the server is away: a line that is half there must not hold anybody up. */
const AWAY_AFTER_MS = 12_000;

const soon = () => AbortSignal.timeout(AWAY_AFTER_MS);

type Known<T> = { [K in keyof T]?: NonNullable<T[K]> };

/** What is not known is left out of a question. */
function known<T extends object>(fields: T): Known<T> {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== null)) as Known<T>;
}

export const api = {
  floor: () => answer(server.GET("/api/v1/floor")),
  findAnything: (word: string) => answer(server.GET("/api/v1/find", { params: { query: { word } } })),
  strips: (tags: string[]) => answer(server.GET("/api/v1/floor/strips", { params: { query: { tags } } })),
  people: () => answer(server.GET("/api/v1/people")),
  addPerson: (body: NewPerson) => answer(server.POST("/api/v1/people", { body })),
  changePerson: (initials: string, body: ChangedPerson) =>
    answer(server.PUT("/api/v1/people/{initials}", { params: { path: { initials } }, body })),
  resetPin: (initials: string, pin: string) =>
    answer(server.PUT("/api/v1/people/{initials}/pin", { params: { path: { initials } }, body: { pin } })),
  badge: (initials: string, badge: string) =>
    answer(server.PUT("/api/v1/people/{initials}/badge", { params: { path: { initials } }, body: { badge } })),
  session: () => answer(server.GET("/api/v1/session", { signal: soon() })),
  signIn: (body: SignInQuestion) => answer(server.POST("/api/v1/session", { body })),
  lock: () => answer(server.DELETE("/api/v1/session")),
  ownPin: (current: string, pin: string) => answer(server.PUT("/api/v1/session/pin", { body: { current, pin } })),
  firstLead: (body: FirstLead) => answer(server.POST("/api/v1/first-lead", { body })),
  setup: () => answer(server.GET("/api/v1/setup")),
  setupNames: () => answer(server.GET("/api/v1/setup/names")),
  shop: () => answer(server.GET("/api/v1/setup/shop")),
  sayShop: (body: ShopForm) => answer(server.PUT("/api/v1/setup/shop", { body })),
  setupTable: (table: SetupTableId) =>
    answer(server.GET("/api/v1/setup/tables/{table}", { params: { path: { table } } })),
  putRow: (table: SetupTableId, key: string, seen: Record<string, string>, values: Record<string, string>) =>
    answer(
      server.POST("/api/v1/setup/tables/{table}/rows", { params: { path: { table } }, body: { key, seen, values } }),
    ),
  retireRow: (table: SetupTableId, key: string, retired: boolean) =>
    answer(server.POST("/api/v1/setup/tables/{table}/retire", { params: { path: { table } }, body: { key, retired } })),
  undoSetup: (batch: string) => answer(server.POST("/api/v1/setup/undo", { body: { batch } })),
  bringRows: (table: SetupTableId, body: BringRequest) =>
    answer(server.POST("/api/v1/setup/tables/{table}/bring", { params: { path: { table } }, body })),
  bringWorkbook: (body: WorkbookRequest) => answer(server.POST("/api/v1/setup/workbook", { body })),
  workbookFile: (template = false) => `/api/v1/setup/workbook.xlsx${template ? "?template=true" : ""}`,
  bringProgress: (watch: string) =>
    answer(server.GET("/api/v1/setup/brought/{watch}", { params: { path: { watch } } })),
  stopBringing: (watch: string) =>
    answer(server.POST("/api/v1/setup/brought/{watch}/stop", { params: { path: { watch } } })),
  setupFile: (table: SetupTableId, ending: "csv" | "xlsx", template = false) =>
    `/api/v1/setup/tables/${table}.${ending}${template ? "?template=true" : ""}`,
  pump: (tag: string) => answer(server.GET("/api/v1/pumps/{tag}", { params: { path: { tag } } })),
  unitFromShelf: (tag: string, body: UnitRequest) =>
    answer(server.POST("/api/v1/pumps/{tag}/unit", { params: { path: { tag } }, body })),
  photographsBeside: (id: number, of: PhotographOf, subject: string) =>
    answer(
      server.GET("/api/v1/rebuilds/{id}/photographs/beside", { params: { path: { id }, query: { of, subject } } }),
    ),
  takePhotograph: (id: number, of: PhotographOf, subject: string, key: string, picture: Blob) =>
    answer(
      server.POST("/api/v1/rebuilds/{id}/photographs", {
        params: { path: { id }, query: { of, subject, key } },
        body: picture as never,
        headers: { "content-type": picture.type === "image/png" ? "image/png" : "image/jpeg" },
        ...raw,
      }),
    ),
  markPhotograph: (id: number, marks: PhotographMark[]) =>
    answer(server.PUT("/api/v1/photographs/{id}/marks", { params: { path: { id } }, body: { marks } })),
  removePhotograph: (id: number) => answer(server.DELETE("/api/v1/photographs/{id}", { params: { path: { id } } })),
  liveUrl: (id: string) => `/api/v1/rebuilds/${id}/live`,
  handoverUrl: (id: number) => `/api/v1/rebuilds/${id}/handover.pdf`,
  exchange: (tag: string, other: string, because: string) =>
    answer(server.POST("/api/v1/pumps/{tag}/exchange", { params: { path: { tag } }, body: { with: other, because } })),
  readCounter: (tag: string, reading: number) =>
    answer(
      server.POST("/api/v1/pumps/{tag}/counters", {
        params: { path: { tag } },
        body: { counter: "hours", reading },
      }),
    ),

  wetEnds: (tag: string) => answer(server.GET("/api/v1/pumps/{tag}/wet-ends", { params: { path: { tag } } })),
  choose: (body: ChoiceQuestion) => answer(server.POST("/api/v1/wet-ends/choose", { body })),
  choiceSheet: (body: ChoiceQuestion): Promise<Blob> =>
    answer(server.POST("/api/v1/wet-ends/choice.pdf", { body, parseAs: "blob" })),
  changeDuty: (tag: string, duty: DutyForm, alwaysSo: boolean) =>
    answer(server.PUT("/api/v1/pumps/{tag}/duty", { params: { path: { tag } }, body: { duty, alwaysSo } })),
  rate: (role: string, chooser: ChooserView) =>
    answer(
      server.POST("/api/v1/compute/wet-end/rate", {
        body: {
          role,
          exposures: chooser.duty.exposures.map(({ fluid, concentrationPct, temperatureC, share }) =>
            known({ fluid, concentrationPct, temperatureC, share }),
          ),
          ...known({ abrasion: chooser.duty.abrasion, suctionLiftM: chooser.duty.suctionLiftM }),
        },
      }),
    ),

  materials: () => answer(server.GET("/api/v1/materials")),
  fluid: (fluid: string) => answer(server.GET("/api/v1/materials/fluids/{fluid}", { params: { path: { fluid } } })),
  pair: (fluid: string, material: string) =>
    answer(server.GET("/api/v1/materials/pairs", { params: { query: { fluid, material } } })),
  find: (body: FindingRequest) => answer(server.POST("/api/v1/materials/findings", { body })),
  writeOwn: (row: OwnResistance) => answer(server.POST("/api/v1/materials/own", { body: { row } })),
  endOwn: (table: string, id: number) =>
    answer(server.POST("/api/v1/materials/tables/{table}/ended", { params: { path: { table } }, body: { id } })),
  tableUrl: (table: string, own: boolean) => `/api/v1/materials/tables/${table}?own=${own}`,
  bringTable: (table: string, csv: string, dryRun: boolean) =>
    answer(
      server.POST("/api/v1/materials/tables/{table}", {
        params: { path: { table }, query: { dryRun } },
        body: csv,
        ...CSV,
        ...raw,
      }),
    ),

  insights: () => answer(server.GET("/api/v1/life/finds")),
  life: (body: LifeQuestion) => answer(server.POST("/api/v1/life", { body })),
  keep: (pumps: string[], way: PolicyWay, everyHours: number | null, because: string) =>
    answer(server.POST("/api/v1/life/policy", { body: { pumps, way, ...known({ everyHours }), because } })),
  chooseMode: (role: string, material: string, duty: string, shape: number) =>
    answer(server.POST("/api/v1/life/mode", { body: { role, material, duty, shape } })),
  compare: (first: SideQuestion, second: SideQuestion) =>
    answer(server.POST("/api/v1/life/compare", { body: { first, second } })),
  storage: () => answer(server.GET("/api/v1/storage")),
  compact: () => answer(server.POST("/api/v1/storage/compact", {})),
  backUp: () => answer(server.POST("/api/v1/storage/backup", {})),
  authority: () => answer(server.GET("/api/v1/authority")),
  restore: (everything: Blob) =>
    answer(
      server.POST("/api/v1/everything.json", {
        body: everything as never,
        headers: { "content-type": "application/json" },
        ...raw,
      }),
    ),

  stores: () => answer(server.GET("/api/v1/stores")),
  shelfAct: (act: LotAct, body: LotRequest) =>
    answer(server.POST("/api/v1/stores/acts/{act}", { params: { path: { act } }, body })),
  receiveLot: (body: ReceivedRequest) => answer(server.POST("/api/v1/stores/lots", { body })),
  receiveConsumable: (body: ConsumableReceivedRequest) => answer(server.POST("/api/v1/stores/consumables", { body })),
  consumableAct: (act: ConsumableAct, body: ConsumableLotRequest) =>
    answer(server.POST("/api/v1/stores/consumables/{act}", { params: { path: { act } }, body })),
  releaseHeld: (id: number) => answer(server.DELETE("/api/v1/stores/reservations/{id}", { params: { path: { id } } })),
  serviceLevel: (level: number) => answer(server.PUT("/api/v1/stores/level", { params: { query: { level } } })),
  keepPart: (body: KeepRequest) => answer(server.POST("/api/v1/stores/kept", { body })),
  scrapKept: (id: string) => answer(server.DELETE("/api/v1/stores/kept/{id}", { params: { path: { id } } })),

  diary: () => answer(server.GET("/api/v1/diary")),
  planDiary: () => answer(server.POST("/api/v1/diary/plan", {})),
  pin: (pump: string, place: { day: number; minute: number; person: string } | null) =>
    answer(server.POST("/api/v1/diary/pin", { body: { pump, ...(place ?? {}) } })),

  score: (role: string, years: number) =>
    answer(server.GET("/api/v1/life/score", { params: { query: { role, years } } })),
  playYear: (body: YearQuestion) => answer(server.POST("/api/v1/year", { body })),
  year: (id: string) => answer(server.GET("/api/v1/year/{id}", { params: { path: { id } } })),
  stopYear: (id: string) => answer(server.POST("/api/v1/year/{id}/stop", { params: { path: { id } } })),
  changeYear: (id: string, change: ChangeQuestion) =>
    answer(server.POST("/api/v1/year/{id}/change", { params: { path: { id } }, body: known(change) })),
  takeYear: (id: string) => answer(server.POST("/api/v1/year/{id}/take", { params: { path: { id } } })),

  symptoms: (tag: string, body: SymptomQuestion) =>
    answer(server.POST("/api/v1/pumps/{tag}/symptoms", { params: { path: { tag } }, body })),

  rounds: (tag: string) => answer(server.GET("/api/v1/pumps/{tag}/rounds", { params: { path: { tag } } })),
  roundDone: (tag: string, round: string, body: RoundRequest) =>
    answer(server.POST("/api/v1/pumps/{tag}/rounds/{round}", { params: { path: { tag, round } }, body })),

  gauges: (unit = "", measure = "") => answer(server.GET("/api/v1/gauges", { params: { query: { unit, measure } } })),
  pretend: (id: string, condition: GaugeCondition) =>
    answer(server.PUT("/api/v1/gauges/{id}/stand-in", { params: { path: { id }, query: { condition } } })),
  gaugeStream: (gauge: string, rebuild: number, pump: string, subject: string, measure: string) =>
    `/api/v1/gauges/${at(gauge)}/stream?${new URLSearchParams({ rebuild: String(rebuild), pump, subject, measure })}`,
  wrench: (targetNm: number, typed: { handleMm: string; adapterMm: string; angleDeg: string }) =>
    answer(server.GET("/api/v1/wrenches/choice", { params: { query: { targetNm, ...typed } } })),

  running: () => answer(server.GET("/api/v1/rebuilds")),
  open: (tag: string, reason: string) =>
    answer(server.POST("/api/v1/pumps/{tag}/rebuilds", { params: { path: { tag } }, body: { reason } })),
  bench: (id: string) =>
    answer(server.GET("/api/v1/rebuilds/{id}", { params: { path: { id: Number(id) } }, signal: soon() })),
  drawing: (id: string) =>
    answer(server.GET("/api/v1/rebuilds/{id}/drawing", { params: { path: { id: Number(id) } } })),
  log: (id: number) => answer(server.GET("/api/v1/rebuilds/{id}/log", { params: { path: { id } } })),
  act: (id: string, body: ActRequest) =>
    answer(server.POST("/api/v1/rebuilds/{id}/acts", { params: { path: { id: Number(id) } }, body, signal: soon() })),
  ahead: (id: string) => answer(server.GET("/api/v1/rebuilds/{id}/ahead", { params: { path: { id: Number(id) } } })),
  join: (id: string, body: AwayStory) =>
    answer(server.POST("/api/v1/rebuilds/{id}/join", { params: { path: { id: Number(id) } }, body, signal: soon() })),
  ways: (id: number, body: TakenIn) =>
    answer(server.POST("/api/v1/rebuilds/{id}/ways", { params: { path: { id } }, body })),
  finding: (id: number, part: string, signs: string[]) =>
    answer(server.POST("/api/v1/rebuilds/{id}/finding", { params: { path: { id } }, body: { part, signs } })),
  clipboardUrl: (id: number) => `/api/v1/rebuilds/${id}/clipboard.pdf`,
  recordUrl: (id: number) => `/api/v1/rebuilds/${id}/record.pdf`,

  sheets: () => answer(server.GET("/api/v1/sheets")),
  sheetSource: (id: string, revision?: number): Promise<string> =>
    revision === undefined
      ? answer(server.GET("/api/v1/sheets/{id}", { params: { path: { id } }, parseAs: "text" }))
      : answer(
          server.GET("/api/v1/sheets/{id}/revisions/{revision}", {
            params: { path: { id, revision } },
            parseAs: "text",
          }),
        ),
  sheetSchema: () =>
    answer(server.GET("/api/v1/sheet-schema", { parseAs: "json" })) as Promise<unknown> as Promise<object>,
  revisions: (id: string) => answer(server.GET("/api/v1/sheets/{id}/revisions", { params: { path: { id } } })),
  draftSheet: (yaml: string) => answer(server.POST("/api/v1/sheets/draft", { body: yaml, ...YAML, ...raw })),
  storeSheet: (yaml: string) => answer(server.POST("/api/v1/sheets", { body: yaml, ...YAML, ...raw })),
  importSheets: (zip: Blob) =>
    answer(
      server.POST("/api/v1/sheets.zip", {
        body: zip as never,
        headers: { "content-type": "application/zip" },
        ...raw,
      }),
    ),
};
