// Providers and addresses. Every place has one that can be reloaded; none holds a name or a reading.
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { Suspense, useState } from "react";
import { I18nProvider, RouterProvider } from "react-aria-components";
import { BrowserRouter, Route, Routes, useHref, useNavigate } from "react-router";
import { Refused } from "../api/client";
import { FloorPage } from "../features/floor/FloorPage";
import { GlobalStyle } from "../ui/GlobalStyle";
import { page } from "./lazyPage";
import { NotFoundPage } from "./NotFoundPage";
import { Shell } from "./Shell";

/** Each place is a file of its own, fetched when it is first opened. */
const BenchPage = page(() => import("../features/bench/BenchPage").then(({ BenchPage }) => BenchPage));
const CautionsPage = page(() => import("../features/cautions/CautionsPage").then(({ CautionsPage }) => CautionsPage));
const ClientPage = page(() => import("../features/clients/ClientPage").then(({ ClientPage }) => ClientPage));
const ClientsPage = page(() => import("../features/clients/ClientsPage").then(({ ClientsPage }) => ClientsPage));
const EditClientPage = page(() =>
  import("../features/clients/EditClientPage").then(({ EditClientPage }) => EditClientPage),
);
const NewClientPage = page(() =>
  import("../features/clients/NewClientPage").then(({ NewClientPage }) => NewClientPage),
);
const SideBySidePage = page(() =>
  import("../features/clients/SideBySidePage").then(({ SideBySidePage }) => SideBySidePage),
);
const SessionsPage = page(() => import("../features/later/LaterPages").then(({ SessionsPage }) => SessionsPage));
const CorrectMachinePage = page(() =>
  import("../features/machines/EnterMachinePage").then(({ CorrectMachinePage }) => CorrectMachinePage),
);
const EnterMachinePage = page(() =>
  import("../features/machines/EnterMachinePage").then(({ EnterMachinePage }) => EnterMachinePage),
);
const MachinePage = page(() => import("../features/machines/MachinePage").then(({ MachinePage }) => MachinePage));
const MachinesPage = page(() => import("../features/machines/MachinesPage").then(({ MachinesPage }) => MachinesPage));
const TapingPage = page(() => import("../features/machines/TapingPage").then(({ TapingPage }) => TapingPage));
const ClientRulesPage = page(() =>
  import("../features/rules/ClientRulesPage").then(({ ClientRulesPage }) => ClientRulesPage),
);
const HouseRulesPage = page(() =>
  import("../features/rules/HouseRulesPage").then(({ HouseRulesPage }) => HouseRulesPage),
);
const LimitsPage = page(() => import("../features/limits/LimitsPage").then(({ LimitsPage }) => LimitsPage));
const BoardPage = page(() => import("../features/board/BoardPage").then(({ BoardPage }) => BoardPage));
const RefitsPage = page(() => import("../features/refits/RefitsPage").then(({ RefitsPage }) => RefitsPage));
const AuditPage = page(() => import("../features/gym/AuditPage").then(({ AuditPage }) => AuditPage));
const ExchangePage = page(() => import("../features/exchange/ExchangePage").then(({ ExchangePage }) => ExchangePage));
const GymPage = page(() => import("../features/gym/GymPage").then(({ GymPage }) => GymPage));
const WallSheetPage = page(() =>
  import("../features/machines/WallSheetPage").then(({ WallSheetPage }) => WallSheetPage),
);
const ProgressPage = page(() => import("../features/progress/ProgressPage").then(({ ProgressPage }) => ProgressPage));
const QueuePage = page(() => import("../features/set-up/QueuePage").then(({ QueuePage }) => QueuePage));
const SetUpPage = page(() => import("../features/set-up/SetUpPage").then(({ SetUpPage }) => SetUpPage));
const PinPage = page(() => import("../features/tablet/PinPage").then(({ PinPage }) => PinPage));
const SignInPage = page(() => import("../features/sign-in/SignInPage").then(({ SignInPage }) => SignInPage));
const TapePage = page(() => import("../features/tape/TapePage").then(({ TapePage }) => TapePage));

const makeQueryClient = () =>
  new QueryClient({
    defaultOptions: {
      queries: { retry: (count, thrown) => (thrown instanceof Refused && thrown.status > 0 ? false : count < 3) },
    },
  });

export function App() {
  const [queryClient] = useState(makeQueryClient);
  return (
    <QueryClientProvider client={queryClient}>
      <I18nProvider locale="en-GB">
        <GlobalStyle />
        <BrowserRouter>
          <Places />
        </BrowserRouter>
      </I18nProvider>
    </QueryClientProvider>
  );
}

function Places() {
  const navigate = useNavigate();
  return (
    <RouterProvider navigate={(to) => void navigate(to)} useHref={useHref}>
      <Routes>
        <Route
          path="/sign-in"
          element={
            <Suspense fallback={null}>
              <SignInPage />
            </Suspense>
          }
        />
        <Route element={<Shell />}>
          <Route index element={<FloorPage />} />
          <Route path="clients" element={<ClientsPage />} />
          <Route path="clients/new" element={<NewClientPage />} />
          <Route path="clients/:id" element={<ClientPage />} />
          <Route path="clients/:id/details" element={<EditClientPage />} />
          <Route path="clients/:id/history/:machine" element={<SideBySidePage />} />
          <Route path="clients/:id/cautions" element={<CautionsPage />} />
          <Route path="clients/:id/rules" element={<ClientRulesPage />} />
          <Route path="clients/:id/tape" element={<TapePage />} />
          <Route path="clients/:id/limits" element={<LimitsPage />} />
          <Route path="fittings/:id" element={<BenchPage />} />
          <Route path="fittings/:id/set-up" element={<SetUpPage />} />
          <Route path="fittings/:id/progress" element={<ProgressPage />} />
          <Route path="machines/:id/queue" element={<QueuePage />} />
          <Route path="pin" element={<PinPage />} />
          <Route path="machines" element={<MachinesPage />} />
          <Route path="machines/new" element={<EnterMachinePage />} />
          <Route path="machines/:id" element={<MachinePage />} />
          <Route path="machines/:id/correct" element={<CorrectMachinePage />} />
          <Route path="machines/:id/sheet" element={<WallSheetPage />} />
          <Route path="board" element={<BoardPage />} />
          <Route path="refits" element={<RefitsPage />} />
          <Route path="gym" element={<GymPage />} />
          <Route path="gym/audit" element={<AuditPage />} />
          <Route path="gym/exchange" element={<ExchangePage />} />
          <Route path="machines/:id/tape" element={<TapingPage />} />
          <Route path="sessions" element={<SessionsPage />} />
          <Route path="rules" element={<HouseRulesPage />} />
          <Route path="*" element={<NotFoundPage />} />
        </Route>
      </Routes>
    </RouterProvider>
  );
}
