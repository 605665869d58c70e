import { QueryClientProvider } from "@tanstack/react-query";
import { lazy, Suspense } from "react";
import { BrowserRouter, Route, Routes } from "react-router";
import { serverState } from "./api/away";
import { Hatches } from "./drawing/Hatches";
import { SettingsProvider } from "./parts/settings";
import { TopBar } from "./parts/TopBar";
import { Gate } from "./places/signin/Gate";
import { AwayNotice, Loading, Lost } from "./parts/States";
import { Floor } from "./places/floor/Floor";

// All but the floor is fetched when it is first opened.
const Bench = lazy(() => import("./places/bench/frame/Bench"));
const BenchList = lazy(() => import("./places/bench/frame/BenchList"));
const WetEndsList = lazy(() => import("./places/wetends/WetEndsList"));
const Pump = lazy(() => import("./places/pump/Pump"));
const Library = lazy(() => import("./places/library/Library"));
const SheetDesk = lazy(() => import("./places/library/SheetDesk"));
const WetEnds = lazy(() => import("./places/wetends/WetEnds"));
const TypedDuty = lazy(() => import("./places/wetends/TypedDuty"));
const RoundInHand = lazy(() => import("./places/rounds/RoundInHand"));
const Symptoms = lazy(() => import("./places/symptoms/Symptoms"));
const SymptomsList = lazy(() => import("./places/symptoms/SymptomsList"));
const People = lazy(() => import("./places/signin/People"));
const Me = lazy(() => import("./places/signin/Me"));
const Gauges = lazy(() => import("./places/library/Gauges"));
const Diary = lazy(() => import("./places/diary/Diary"));
const YearAhead = lazy(() => import("./places/diary/year/YearAhead"));
const Stores = lazy(() => import("./places/stores/Stores"));
const Life = lazy(() => import("./places/life/Life"));
const Score = lazy(() => import("./places/life/score/Score"));
const History = lazy(() => import("./places/life/History"));
const Setup = lazy(() => import("./places/setup/Setup"));
const Workbook = lazy(() => import("./places/setup/Workbook"));
const SetupTable = lazy(() => import("./places/setup/SetupTable"));
const Materials = lazy(() => import("./places/materials/Materials"));
const Fluid = lazy(() => import("./places/materials/Fluid"));
const Pair = lazy(() => import("./places/materials/Pair"));

const queries = serverState();

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <SettingsProvider>
        <BrowserRouter>
          <Hatches />
          <Gate>
            <TopBar />
            <AwayNotice />
            <Suspense fallback={<Loading what="the place" />}>
              <Routes>
                <Route path="/" element={<Floor />} />
                <Route path="/floor" element={<Floor />} />
                <Route path="/pumps/:tag" element={<Pump />} />
                <Route path="/pumps/:tag/rounds/:round" element={<RoundInHand />} />
                <Route path="/bench" element={<BenchList />} />
                <Route path="/bench/:id" element={<Bench />} />
                <Route path="/wet-ends" element={<WetEndsList />} />
                <Route path="/wet-ends/typed" element={<TypedDuty />} />
                <Route path="/wet-ends/:tag" element={<WetEnds />} />
                <Route path="/symptoms" element={<SymptomsList />} />
                <Route path="/symptoms/:tag" element={<Symptoms />} />
                <Route path="/diary" element={<Diary />} />
                <Route path="/diary/year" element={<YearAhead />} />
                <Route path="/stores" element={<Stores />} />
                <Route path="/people" element={<People />} />
                <Route path="/me" element={<Me />} />
                <Route path="/life" element={<Life />} />
                <Route path="/life/history" element={<History />} />
                <Route path="/life/score" element={<Score />} />
                <Route path="/library/gauges" element={<Gauges />} />
                <Route path="/library" element={<Library />} />
                <Route path="/library/materials" element={<Materials />} />
                <Route path="/library/materials/:fluid" element={<Fluid />} />
                <Route path="/library/materials/:fluid/:material" element={<Pair />} />
                <Route path="/setup" element={<Setup />} />
                <Route path="/setup/workbook" element={<Workbook />} />
                <Route path="/setup/:table" element={<SetupTable />} />
                <Route path="/library/:id" element={<SheetDesk />} />
                <Route path="*" element={<Lost />} />
              </Routes>
            </Suspense>
          </Gate>
        </BrowserRouter>
      </SettingsProvider>
    </QueryClientProvider>
  );
}
