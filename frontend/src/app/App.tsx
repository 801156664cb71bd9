// Providers and addresses. Every place has one that can be reloaded; none holds a name or a reading.
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { useState } from "react";
import { I18nProvider, RouterProvider } from "react-aria-components";
import { BrowserRouter, Route, Routes, useHref, useNavigate } from "react-router";
import { Refused } from "../api/client";
import { BenchPage } from "../features/bench/BenchPage";
import { CautionsPage } from "../features/cautions/CautionsPage";
import { ClientPage } from "../features/clients/ClientPage";
import { ClientsPage } from "../features/clients/ClientsPage";
import { EditClientPage } from "../features/clients/EditClientPage";
import { NewClientPage } from "../features/clients/NewClientPage";
import { FloorPage } from "../features/floor/FloorPage";
import { SessionsPage } from "../features/later/LaterPages";
import { CorrectMachinePage, EnterMachinePage } from "../features/machines/EnterMachinePage";
import { MachinePage } from "../features/machines/MachinePage";
import { MachinesPage } from "../features/machines/MachinesPage";
import { TapingPage } from "../features/machines/TapingPage";
import { ClientRulesPage } from "../features/rules/ClientRulesPage";
import { HouseRulesPage } from "../features/rules/HouseRulesPage";
import { LimitsPage } from "../features/limits/LimitsPage";
import { QueuePage } from "../features/set-up/QueuePage";
import { SetUpPage } from "../features/set-up/SetUpPage";
import { PinPage } from "../features/tablet/PinPage";
import { SignInPage } from "../features/sign-in/SignInPage";
import { TapePage } from "../features/tape/TapePage";
import { GlobalStyle } from "../ui/GlobalStyle";
import { NotFoundPage } from "./NotFoundPage";
import { Shell } from "./Shell";

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
        <Route path="/sign-in" element={<SignInPage />} />
        <Route element={<Shell />}>
          <Route index element={<FloorPage />} />
          <Route path="clients" element={<ClientsPage />} />
          <Route path="clients/new" element={<NewClientPage />} />
          <Route path="clients/:id" element={<ClientPage />} />
          <Route path="clients/:id/details" element={<EditClientPage />} />
          <Route path="clients/:id/cautions" element={<CautionsPage />} />
          <Route path="clients/:id/rules" element={<ClientRulesPage />} />
          <Route path="clients/:id/tape" element={<TapePage />} />
          <Route path="clients/:id/limits" element={<LimitsPage />} />
          <Route path="fittings/:id" element={<BenchPage />} />
          <Route path="fittings/:id/set-up" element={<SetUpPage />} />
          <Route path="machines/:id/queue" element={<QueuePage />} />
          <Route path="pin" element={<PinPage />} />
          <Route path="machines" element={<MachinesPage />} />
          <Route path="machines/new" element={<EnterMachinePage />} />
          <Route path="machines/:id" element={<MachinePage />} />
          <Route path="machines/:id/correct" element={<CorrectMachinePage />} />
          <Route path="machines/:id/tape" element={<TapingPage />} />
          <Route path="sessions" element={<SessionsPage />} />
          <Route path="rules" element={<HouseRulesPage />} />
          <Route path="*" element={<NotFoundPage />} />
        </Route>
      </Routes>
    </RouterProvider>
  );
}
